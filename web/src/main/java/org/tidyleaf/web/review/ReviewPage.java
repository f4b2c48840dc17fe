package org.tidyleaf.web.review;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.ProseHtml;

/**
 * All that the review shows.
 *
 * @param pages its pages where the source was printed on pages, else none
 * @param loose snags that belong to no single question
 * @param notice what the last decision did, or empty
 * @param undo what undo would take back, or empty
 * @param redo what redo would bring back, or empty
 */
record ReviewPage(
        UUID id,
        String title,
        String fileName,
        String savedAt,
        Tally tally,
        List<SheetLine> lines,
        List<SheetPage> pages,
        List<QuestionCard> cards,
        List<Tidied.OpenSnag> loose,
        String notice,
        String undo,
        String redo) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    public String sign(String tag, String letter) {
        return RoleSign.svg(tag, letter);
    }

    public String spineBars() {
        return lines.stream().map(SheetLine::bar).collect(Collectors.joining());
    }

    public int spineHeight() {
        return Math.max(1, lines.size() * SheetLine.PITCH);
    }

    /** What a change of one card shows besides it: the tally and the steps. */
    static ReviewPage aroundCard(OpenLeaf leaf) {
        return page(leaf, "", List.of(), List.of());
    }

    static ReviewPage of(OpenLeaf leaf, String notice) {
        String figures = figures(leaf.id());
        List<SheetLine> lines = SheetLine.of(leaf.source(), leaf.tidied(), figures);
        return page(leaf, notice, lines, QuestionCard.of(leaf.tidied(), new ProseHtml(figures)));
    }

    private static ReviewPage page(OpenLeaf leaf, String notice, List<SheetLine> lines, List<QuestionCard> cards) {
        return new ReviewPage(
                leaf.id(),
                leaf.tidied().quiz().title(),
                leaf.fileName(),
                TIME.format(leaf.touchedAt().atZone(ZoneId.systemDefault())),
                Tally.of(leaf.tidied()),
                lines,
                SheetPage.of(leaf.source(), lines),
                cards,
                leaf.tidied().snags().stream()
                        .filter(snag -> snag.question().isEmpty())
                        .toList(),
                notice,
                leaf.decisions().last().map(Decision::inWords).orElse(""),
                leaf.decisions().undone().map(Decision::inWords).orElse(""));
    }

    static String figures(UUID leaf) {
        return "/leaf/" + leaf + "/figure/";
    }
}
