package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Section;
import org.tidyleaf.reading.cue.NumberedRoom;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;

/** The sections of a test while its lines are gathered, and what the last of them says of its questions. One per reading. */
final class DraftSections {

    private static final Pattern DASH_AT_END = Pattern.compile("\\s[-\u2013\u2014]\\s*$");

    private static final Pattern LABEL = Vocabulary.pattern("\\s*(?:" + Vocabulary.ALL.either("section")
            + "\\s+)?[(\\[]?(?:[A-Z]|\\d{1,2}|[IVX]{1,5})\\s*(?:[.:)\\]\u2013-]+\\s*|$)");

    /** "(2 points each; a wrong answer takes one away)": what a bracket says beside the points. */
    private static final Pattern MORE_IN_BRACKET = Pattern.compile(";|,\\s");

    private static final Pattern STRETCHED = Pattern.compile("\\S+(?: {2,}\\S+){3,20}");

    private final Habits habits;
    private final ProseMaker prose;
    private final List<Section> sections = new ArrayList<>();
    private final List<String> said = new ArrayList<>();
    private final List<Segment> asked = new ArrayList<>();
    private Optional<BigDecimal> pointsEach = Optional.empty();
    private Optional<BigDecimal> documentPoints = Optional.empty();
    private List<String> bank = List.of();

    /** "Exercise 1" may head 1.1 and 1.2 while "Exercise 2" is a question: that one is in no section. */
    private List<String> labels = List.of();

    DraftSections(Habits habits, ProseMaker prose) {
        this.habits = habits;
        this.prose = prose;
    }

    void begin(Cues cues) {
        bank = WordBanks.named(cues.text());
        asked.clear();
        labels = cues.labels().stream()
                .map(Label::shape)
                .filter(this::headsByShape)
                .toList();
        askedBy(cues).ifPresent(asked::add);
        Optional<PointsFinder.Found> each = each(cues);
        pointsEach = each.map(PointsFinder.Found::points).or(() -> documentPoints);
        Segment whole = cues.piece().segment();
        int told = Math.min(
                RunInHeads.end(cues),
                whole.from() + NumberedRoom.forLetters(cues.text()).orElse(whole.to() - whole.from()));
        String head = cues.line().text().substring(whole.from(), told);
        String title = each.filter(found -> found.to() <= head.length())
                .or(() -> worthAtEnd(head))
                .map(found -> without(head, found))
                .orElse(head);
        String named = told < whole.to() ? title.strip().replaceFirst("\\s*:$", "") : title.strip();
        sections.add(new Section(unstretched(named), Prose.EMPTY));
        said.add(cues.text());
        if (told < whole.to() && NumberedRoom.forLetters(cues.text()).isEmpty()) {
            String rest = cues.line().text().substring(told, whole.to());
            int end = told + worthAtEnd(rest).map(PointsFinder.Found::from).orElse(rest.length());
            tell(new Segment(whole.line(), told, end));
        }
    }

    /** "Section B (10 marks)", "Essays (2 x 5 = 10)": what all of its questions are worth. */
    private static Optional<PointsFinder.Found> worthAtEnd(String head) {
        return PointsFinder.factorsAtEnd(head)
                .or(() -> PointsFinder.beside(head).filter(found -> found.from() > 0 && found.to() == head.length()));
    }

    /** "Part   A.   Multiple   choice": a heading that fills its line, with no two words as near as words are. */
    private static String unstretched(String title) {
        String line = title.replaceAll("\\s*\\t\\s*", " ");
        return STRETCHED.matcher(line).matches() ? line.replaceAll(" {2,}", " ") : line;
    }

    /** The points of each question are no part of the title. */
    private static String without(String text, PointsFinder.Found found) {
        String before = text.substring(0, found.from());
        Matcher more = MORE_IN_BRACKET.matcher(text).region(found.from(), found.to());
        String behind = text.substring(found.brackets(text) && more.find() ? more.start() : found.to());
        // "(6 pts : 2 pts each, none for wrong ones)" says more than that and stays.
        if (before.lastIndexOf('(') > before.lastIndexOf(')')
                && !behind.stripLeading().startsWith(")")) {
            return text;
        }
        boolean open = before.indexOf('(') < 0 && found.brackets(text);
        String rest = open && (behind.startsWith(",") || behind.startsWith(";"))
                ? "(" + behind.substring(1).stripLeading()
                : behind;
        String kept = rest.isBlank() ? DASH_AT_END.matcher(before).replaceFirst("") : before;
        if (rest.matches("[.,:;]\\s*") && kept.stripTrailing().matches("(?s).*[.:!?]")) {
            // "Section one. Each question carries 2 marks.": the stop was that of the points.
            return kept.stripTrailing();
        }
        return (rest.matches("[.,:;].*") ? kept.stripTrailing() : kept) + rest;
    }

    /** Whether labels of that shape count groups and the questions within them otherwise. */
    private boolean headsByShape(String shape) {
        boolean overDecimals =
                habits.stemShapes().containsKey(LabelFinder.DECIMAL_SHAPE) && !shape.equals(LabelFinder.DECIMAL_SHAPE);
        return Label.isWorded(shape) || habits.stemShapes().containsKey(shape + ">") || overDecimals;
    }

    /** "Exercise 3. Match the halves.": what the heading of a section asks, if it asks anything. */
    private static Optional<Segment> askedBy(Cues cues) {
        Segment whole = cues.piece().segment();
        int from = labelEnd(cues);
        int to = whole.from() + NumberedRoom.forLetters(cues.text()).orElse(whole.to() - whole.from());
        boolean asks =
                cues.line().text().substring(from, Math.max(from, to)).strip().contains(" ");
        String head = cues.line().text().substring(whole.from(), Math.max(from, to));
        int worth = worthAtEnd(head).map(PointsFinder.Found::from).orElse(head.length());
        to = Math.max(from, Math.min(to, whole.from() + worth));
        return asks ? Optional.of(new Segment(whole.line(), from, to)) : Optional.empty();
    }

    /** Behind "Exercise 3." or "Part B:", in its line; the piece's beginning where it has no such label. */
    static int labelEnd(Cues cues) {
        Segment whole = cues.piece().segment();
        Matcher head = LABEL.matcher(cues.line().text()).region(whole.from(), whole.to());
        // "Task 3 Write the opposites." has no sign behind its number.
        int worded = cues.number()
                .filter(number -> Label.isWorded(number.shape()) && number.from() == whole.from())
                .map(Label::end)
                .orElse(whole.from());
        return head.lookingAt() ? head.end() : worded;
    }

    private static Optional<PointsFinder.Found> each(Cues cues) {
        return PointsFinder.isMentioned(cues) ? PointsFinder.each(cues.text()) : Optional.empty();
    }

    /** Takes a line of instructions. */
    void instruct(Cues cues) {
        hear(cues);
        bank = bank.isEmpty() ? WordBanks.named(cues.text()) : bank;
        if (sections.isEmpty()) {
            return;
        }
        if (cues.is(Cues.Trait.INSTRUCTION_WORD)) {
            asked.add(cues.piece().segment());
        }
        tell(cues.piece().segment());
    }

    private void tell(Segment instruction) {
        Section section = sections.remove(sections.size() - 1);
        List<Inline> parts = new ArrayList<>(section.instructions().parts());
        if (!parts.isEmpty()) {
            parts.add(new Inline.Break());
        }
        parts.addAll(prose.text(List.of(instruction)).parts());
        sections.add(new Section(section.title(), new Prose(parts)));
    }

    /** Whatever else a line is, it may say what each question is worth; before the first section it says so of all. */
    void hear(Cues cues) {
        each(cues).ifPresent(found -> {
            pointsEach = Optional.of(found.points());
            documentPoints = sections.isEmpty() ? pointsEach : documentPoints;
        });
    }

    /** Words that several questions below choose from. */
    void offer(List<String> words) {
        List<String> all = new ArrayList<>(bank);
        all.addAll(words);
        bank = all;
    }

    List<Section> all() {
        return List.copyOf(sections);
    }

    /** The heading of each section as printed, with the points it says. */
    List<String> said() {
        return said;
    }

    /** The place of the last section; -1 where there is none. */
    int last() {
        return sections.size() - 1;
    }

    /** What the heading and the instructions of the last section ask. */
    List<Segment> asked() {
        return asked;
    }

    /** What each question in no section is worth. */
    Optional<BigDecimal> pointsOutside() {
        return documentPoints;
    }

    Optional<BigDecimal> pointsEach() {
        return pointsEach;
    }

    List<String> bank() {
        return bank;
    }

    /** Whether the last section is headed by a label of the same shape, so that this one heads a group of its own. */
    boolean isHeadedAs(Label label) {
        return labels.contains(label.shape());
    }
}
