package org.tidyleaf.web.review;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Section;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.page.TypeWords;

/**
 * All that the review shows.
 *
 * @param notice what the last decision did, or empty
 * @param others lines that are read otherwise because of it
 */
record ReviewPage(ReviewState state, String notice, List<SheetLine> others) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** Pages that come with their boxes at once. */
    private static final int BOXED_AT_ONCE = 2;

    public UUID id() {
        return state.leaf().id();
    }

    public String title() {
        return state.leaf().tidied().quiz().title();
    }

    public String fileName() {
        return state.leaf().fileName();
    }

    /** How many decisions it holds. */
    public int seen() {
        return state.leaf().decisionCount();
    }

    public String savedAt() {
        return TIME.format(state.leaf().touchedAt().atZone(ZoneId.systemDefault()));
    }

    public Tally tally() {
        return Tally.of(state.leaf().tidied());
    }

    /** Its pages where the source was printed on pages, else none. */
    public List<SheetPage> pages() {
        return state.pages();
    }

    public boolean boxedAtOnce(SheetPage page) {
        return page.number() < BOXED_AT_ONCE;
    }

    public List<SheetRow> rows() {
        return SheetRow.of(state.lines(0));
    }

    public List<Integer> lineBlocks() {
        return state.lineBlocks();
    }

    public List<QuestionCard> cards() {
        return state.cards(0);
    }

    public List<Integer> cardBlocks() {
        return state.cardBlocks();
    }

    public List<Section> sections() {
        return state.leaf().tidied().quiz().sections();
    }

    public ManyChange[] manyChanges() {
        return ManyChange.values();
    }

    public PartialMarks[] partialMarks() {
        return PartialMarks.values();
    }

    public Map<String, String> types() {
        return TypeWords.all();
    }

    /** The id of the last question, or empty. */
    public String last() {
        return state.cards().isEmpty()
                ? ""
                : state.cards().get(state.cards().size() - 1).id();
    }

    /** Snags that belong to no single question. */
    public List<Tidied.OpenSnag> loose() {
        return state.leaf().tidied().snags().stream()
                .filter(snag -> snag.question().isEmpty())
                .toList();
    }

    /** What undo would take back, or empty. */
    public String undo() {
        return state.leaf().decisions().last().map(Decision::inWords).orElse("");
    }

    /** What redo would bring back, or empty. */
    public String redo() {
        return state.leaf().decisions().undone().map(Decision::inWords).orElse("");
    }

    public String sign(String tag, String letter) {
        return RoleSign.svg(tag, letter);
    }

    public String spineBars() {
        return state.lines().stream()
                .map(line -> "<g id=\"bar-" + line.number() + "\">" + line.bar() + "</g>")
                .collect(Collectors.joining());
    }

    public int spineHeight() {
        return Math.max(1, state.lines().size() * SheetLine.PITCH);
    }
}
