package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.ProseRows;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.Wording;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/**
 * A test on paper: name line and points at the top, questions kept together, room to write. With its key it has
 * answer lines, in habits that our own reader knows.
 */
public final class PrintedTest implements Question.Cases<Boolean> {

    private static final String RULE = "_".repeat(16);
    private static final String WRITING_LINE = "_".repeat(78);

    /** Lines to write on for each point of an open question, and for the least and the most of them. */
    private static final int LINES_A_POINT = 2;

    private static final int LEAST_LINES = 3;
    private static final int MOST_LINES = 14;

    private static final int INDENT = 400;

    private final PrintDocument document;
    private final Quiz quiz;
    private final boolean keyed;
    private final boolean renumbered;
    private final PrintedLeads leads;
    private int sectionsPrinted;
    private final Function<String, Optional<Figure>> figures;

    private PrintedTest(PrintDocument document, Quiz quiz, boolean keyed, Function<String, Optional<Figure>> figures) {
        this.document = document;
        this.quiz = quiz;
        this.keyed = keyed;
        this.figures = figures;
        this.renumbered = hasCollision();
        this.leads = new PrintedLeads(quiz);
    }

    /**
     * Writes the document and leaves the stream open.
     *
     * @param keyed whether the right answers stand in it
     * @param figures gives a picture by its id; one that is not there is left out
     */
    public static void write(
            Paper paper, Quiz quiz, boolean keyed, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        PrintDocument document = paper.document(quiz.title(), out);
        new PrintedTest(document, quiz, keyed, figures).print();
        document.finish();
    }

    private void print() {
        document.begin(new PrintDocument.Look("Title", 0, true, 0))
                .run(quiz.title(), Set.of())
                .end();
        if (!keyed) {
            BigDecimal most = quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
            line(
                    "Name: " + RULE + RULE + "   Date: " + RULE + "   Score: ______ / "
                            + most.stripTrailingZeros().toPlainString(),
                    0);
        }
        int section = -1;
        int passage = -1;
        for (int i = 0; i < quiz.questions().size(); i++) {
            Question question = quiz.questions().get(i);
            Particulars particulars = question.particulars();
            if (particulars.section() >= 0 && particulars.section() != section) {
                sections(particulars.section());
            }
            section = particulars.section();
            if (particulars.stimulus() >= 0 && particulars.stimulus() != passage) {
                passage(particulars.stimulus());
            }
            passage = particulars.stimulus();
            question(question, i);
        }
        if (sectionsPrinted < quiz.sections().size()) {
            sections(quiz.sections().size() - 1);
        }
    }

    private void line(String text, int indent) {
        document.begin(new PrintDocument.Look("", indent, false, 0))
                .run(text, Set.of())
                .end();
    }

    /** Prints the head of a section, before it those of earlier ones that have no question. */
    private void sections(int last) {
        for (int i = sectionsPrinted; i < last; i++) {
            section(quiz.sections().get(i));
        }
        section(quiz.sections().get(last));
        sectionsPrinted = Math.max(sectionsPrinted, last + 1);
    }

    private void section(Section section) {
        document.begin(new PrintDocument.Look("Heading1", 0, true, 280))
                .run(section.title(), Set.of())
                .end();
        if (!section.instructions().isEmpty()) {
            document.begin(PrintDocument.Look.PLAIN.kept());
            for (Inline part : section.instructions().parts()) {
                document.run(part.plain(), Set.of(Emphasis.ITALIC));
            }
            document.end();
        }
    }

    /** What stands above lettered parts has their number; other passages have none. */
    private void passage(int place) {
        Prose text = renumbered ? quiz.stimuli().get(place).text() : leads.text(place);
        String label = renumbered ? "" : leads.label(place);
        for (ProseRows block : ProseRows.of(text)) {
            if (block.isTable()) {
                table(block);
            } else {
                document.begin(new PrintDocument.Look("", 0, true, 200)).run(label, Set.of());
                prose(block.text());
                document.end();
            }
            label = "";
        }
        pictures(text);
    }

    private void table(ProseRows table) {
        document.beginTable(table.columns());
        for (List<Prose> row : table.rows()) {
            document.beginRow();
            for (int column = 0; column < table.columns(); column++) {
                document.beginCell().begin(PrintDocument.Look.PLAIN);
                prose(column < row.size() ? row.get(column) : Prose.EMPTY);
                document.end().endCell();
            }
            document.endRow();
        }
        document.endTable();
    }

    /** "6. " or, below the lead of its number, "(a) ". */
    private String label(Question question, int place) {
        String numbered = number(question, place) + ". ";
        return renumbered ? numbered : leads.label(question).orElse(numbered);
    }

    private String number(Question question, int place) {
        String printed = question.particulars().number();
        return printed.isEmpty() || renumbered ? String.valueOf(place + 1) : printed;
    }

    /** Whether a question without a number would be given one that another has; then all are counted anew. */
    private boolean hasCollision() {
        List<String> printed = quiz.questions().stream()
                .map(question -> question.particulars().number())
                .toList();
        return IntStream.range(0, printed.size())
                .anyMatch(place -> printed.get(place).isEmpty()
                        && printed.contains(String.valueOf(place + 1))
                        && !isAskedByHeading(quiz.questions().get(place))
                        && !isBankFirst(quiz.questions().get(place)));
    }

    private void question(Question question, int place) {
        Particulars particulars = question.particulars();
        boolean bankFirst = isBankFirst(question);
        if (bankFirst
                && !areSentences((GapMatch) question)
                && !isBankPrinted((GapMatch) question, place)
                && !isBankInPassage((GapMatch) question)) {
            line("Word bank: " + String.join(", ", ((GapMatch) question).words()), INDENT);
        }
        boolean unnumbered = bankFirst && particulars.number().isEmpty();
        if (isAskedByHeading(question)) {
            parts(question);
            return;
        }
        Prose stem = particulars.stem();
        int firstLine = question instanceof GapMatch ? instructionEnd(stem) : -1;
        List<ProseRows> blocks = ProseRows.of(firstLine < 0 ? stem : stem.cut(0, firstLine));
        boolean begun = !blocks.isEmpty() && !blocks.get(0).isTable();
        document.begin(new PrintDocument.Look("", 0, true, 200))
                .run(unnumbered ? "" : label(question, place), Set.of());
        boolean numbered = question instanceof GapMatch gaps && areSentences(gaps);
        prose(begun ? blocks.get(0).text() : Prose.EMPTY, numbered);
        List<ProseRows> below = blocks.subList(begun ? 1 : 0, blocks.size());
        boolean endsInText = !below.isEmpty() && !below.get(below.size() - 1).isTable();
        if (!endsInText) {
            behindStem(question);
        }
        document.end();
        for (int i = 0; i < below.size(); i++) {
            if (below.get(i).isTable()) {
                table(below.get(i));
                continue;
            }
            document.begin(PrintDocument.Look.PLAIN.kept());
            prose(below.get(i).text(), numbered);
            if (endsInText && i == below.size() - 1) {
                behindStem(question);
            }
            document.end();
        }
        pictures(particulars.stem());
        parts(question);
    }

    /** The pair to judge by, and the points. */
    private void behindStem(Question question) {
        if (isJudgedPart(question)) {
            List<Option> pair = ((ChoiceQuestion) question).options();
            document.run(
                    " (" + pair.get(0).text().plain() + " / "
                            + pair.get(1).text().plain() + ")",
                    Set.of());
        }
        question.particulars().points().ifPresent(points -> document.run(points(points), Set.of()));
    }

    /** What stands below the stem. */
    private void parts(Question question) {
        Particulars particulars = question.particulars();
        question.match(this);
        if (keyed && !particulars.feedback().isEmpty()) {
            said("Explanation: ", particulars.feedback());
        }
        if (!particulars.hint().isEmpty()) {
            said("Hint: ", particulars.hint());
        }
        if (keyed) {
            for (String note : PlainTest.notes(particulars.settings())) {
                said("", Prose.of(note));
            }
        }
    }

    /** A table or pairs right below a heading that asks for them have no stem but the heading's own words. */
    private boolean isAskedByHeading(Question question) {
        Particulars particulars = question.particulars();
        boolean block = question instanceof Match || question instanceof TableEntry || question instanceof Grid;
        String title = particulars.section() < 0
                ? ""
                : quiz.sections().get(particulars.section()).title();
        return block
                && particulars.number().isEmpty()
                && particulars.section() >= 0
                && !particulars.stem().isEmpty()
                && withoutPoints(title).endsWith(particulars.stem().plain())
                && (particulars.points().isEmpty()
                        || !withoutPoints(title).equals(title) && isAloneIn(particulars.section()));
    }

    private static String points(BigDecimal points) {
        String plain = points.stripTrailingZeros().toPlainString();
        return " (" + plain + (plain.equals("1") ? " point)" : " points)");
    }

    private boolean isAloneIn(int section) {
        return quiz.questions().stream()
                        .filter(question -> question.particulars().section() == section)
                        .count()
                == 1;
    }

    private static String withoutPoints(String title) {
        return title.replaceFirst("\\s*[(\\[][^()\\[\\]]*\\d[^()\\[\\]]*[)\\]]\\s*$", "");
    }

    /** A gapped text without an instruction of its own has its words above it, below what the section says. */
    private static boolean isBankFirst(Question question) {
        return question instanceof GapMatch gaps
                && instructionEnd(gaps.particulars().stem()) < 0;
    }

    /** Where the line that says what to do with the words ends; -1 where the gaps begin with the first line. */
    private static int instructionEnd(Prose stem) {
        int end = stem.typed().indexOf('\n');
        return end < 0 || stem.cut(0, end).gapCount() > 0 ? -1 : end;
    }

    private boolean isBankInPassage(GapMatch gaps) {
        int stimulus = gaps.particulars().stimulus();
        return stimulus >= 0
                && Wording.lists(quiz.stimuli().get(stimulus).text().plain(), gaps.words());
    }

    /** Neighbours that share their words have them printed once. */
    private boolean isBankPrinted(GapMatch gaps, int place) {
        return place > 0
                && quiz.questions().get(place - 1) instanceof GapMatch above
                && isBankFirst(above)
                && above.words().equals(gaps.words())
                && above.particulars().section() == gaps.particulars().section()
                && above.particulars().number().isEmpty()
                        == gaps.particulars().number().isEmpty();
    }

    private void said(String word, Prose text) {
        document.begin(new PrintDocument.Look("", INDENT, false, 0)).run(word, Set.of());
        prose(text);
        document.end();
    }

    private void answer(String text) {
        answer("Answer: ", text);
    }

    private void answer(String word, String text) {
        if (keyed && !text.isEmpty()) {
            line(word + text, INDENT);
        }
    }

    private void prose(Prose prose) {
        prose(prose, false);
    }

    /** @param numbered whether the gaps are numbered for what is lettered to go into them */
    private void prose(Prose prose, boolean numbered) {
        for (Inline part : prose.parts()) {
            if (part instanceof Inline.Text text) {
                document.run(text.text(), text.emphasis());
            } else if (part instanceof Inline.Formula formula) {
                document.formula(formula.latex());
            } else if (part instanceof Inline.Gap gap) {
                document.run(numbered ? "(" + gap.number() + ") " + RULE : RULE, Set.of());
            } else if (part instanceof Inline.Break) {
                document.lineBreak();
            }
        }
    }

    private void pictures(Prose prose) {
        prose.pictures()
                .forEach(picture -> figures.apply(picture.figure()).ifPresent(figure -> {
                    document.begin(PrintDocument.Look.PLAIN.kept());
                    document.picture(figure);
                    document.end();
                }));
    }

    private void option(String label, Prose text, boolean last) {
        document.begin(new PrintDocument.Look("", INDENT, !last, 0)).run(label, Set.of());
        prose(text);
        document.end();
        pictures(text);
    }

    private static String letter(int place) {
        return String.valueOf((char) ('A' + place % 26));
    }

    @Override
    public Boolean choice(ChoiceQuestion choice) {
        List<String> right = new ArrayList<>();
        if (isJudgedPart(choice)) {
            choice.key().forEach(i -> right.add(choice.options().get(i).text().plain()));
            answer(String.join(", ", right));
            return true;
        }
        for (int i = 0; i < choice.options().size(); i++) {
            Option option = choice.options().get(i);
            option(letter(i) + ". ", option.text(), i + 1 == choice.options().size());
            if (choice.key().contains(i)) {
                right.add(letter(i));
            }
        }
        answer(String.join(", ", right));
        return true;
    }

    /** Below a lead the letters are those of the parts: what they are judged by stands behind them. */
    private boolean isJudgedPart(Question question) {
        return !renumbered
                && question instanceof TrueFalse
                && leads.label(question).isPresent();
    }

    @Override
    public Boolean textEntry(TextEntry text) {
        if (text.particulars().stem().gapCount() == 0
                && (!keyed || text.gaps().stream().allMatch(List::isEmpty))) {
            line(RULE + RULE, INDENT);
        }
        answer(numbered(text.gaps()));
        return true;
    }

    /** "(1) rises (2) sinks"; one gap needs no number. */
    private static String numbered(List<List<String>> gaps) {
        if (gaps.stream().allMatch(List::isEmpty)) {
            return "";
        }
        if (gaps.size() == 1) {
            return String.join(" / ", gaps.get(0));
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < gaps.size(); i++) {
            text.append(i == 0 ? "" : " ")
                    .append('(')
                    .append(i + 1)
                    .append(") ")
                    .append(String.join(" / ", gaps.get(i)));
        }
        return text.toString();
    }

    @Override
    public Boolean numericEntry(NumericEntry number) {
        boolean room = !keyed || number.key().isEmpty();
        if (number.particulars().stem().gapCount() == 0 && room) {
            line(RULE + " " + number.key().map(NumericEntry.Key::unit).orElse(""), INDENT);
        }
        answer(AnswerText.of(number));
        return true;
    }

    @Override
    public Boolean extendedText(ExtendedText text) {
        if (!keyed || text.answer().isEmpty()) {
            int lines = Marker.most(text).intValue() * LINES_A_POINT;
            for (int i = 0; i < Math.max(LEAST_LINES, Math.min(MOST_LINES, lines)); i++) {
                line(WRITING_LINE, 0);
            }
        }
        answer("Model answer: ", text.answer().plain());
        return true;
    }

    @Override
    public Boolean match(Match match) {
        document.beginTable(2);
        for (int i = 0; i < Math.max(match.lefts().size(), match.targets().size()); i++) {
            document.beginRow();
            cell(
                    i < match.lefts().size() ? (i + 1) + ") " : "",
                    i < match.lefts().size() ? match.lefts().get(i) : Prose.EMPTY);
            String label = i < match.targets().size() ? letter(i).toLowerCase(java.util.Locale.ROOT) + ") " : "";
            cell(label, i < match.targets().size() ? match.targets().get(i) : Prose.EMPTY);
            document.endRow();
        }
        document.endTable();
        List<String> pairs = new ArrayList<>();
        for (int i = 0; i < match.key().size(); i++) {
            pairs.add((i + 1) + "-" + letter(match.key().get(i)).toLowerCase(java.util.Locale.ROOT));
        }
        answer(String.join(", ", pairs));
        return true;
    }

    private void cell(String label, Prose text) {
        document.beginCell().begin(PrintDocument.Look.PLAIN).run(label, Set.of());
        prose(text);
        document.end().endCell();
    }

    @Override
    public Boolean order(Order order) {
        for (int i = 0; i < order.items().size(); i++) {
            option(
                    letter(i) + ". ",
                    order.items().get(i),
                    i + 1 == order.items().size());
        }
        answer(String.join(", ", order.key().stream().map(PrintedTest::letter).toList()));
        return true;
    }

    @Override
    public Boolean grid(Grid grid) {
        document.beginTable(grid.columns().size() + 1).beginRow();
        cell("", Prose.EMPTY);
        grid.columns().forEach(head -> cell("", head));
        document.endRow();
        for (int row = 0; row < grid.rows().size(); row++) {
            document.beginRow();
            cell("", grid.rows().get(row));
            for (int column = 0; column < grid.columns().size(); column++) {
                boolean right =
                        keyed && row < grid.key().size() && grid.key().get(row).contains(column);
                cell(right ? "x" : keyed ? "" : "\u2610", Prose.EMPTY);
            }
            document.endRow();
        }
        document.endTable();
        return true;
    }

    @Override
    public Boolean gapMatch(GapMatch gaps) {
        boolean sentences = areSentences(gaps);
        if (!sentences && !isBankFirst(gaps)) {
            line(String.join("     ", gaps.words()), INDENT);
        }
        Prose stem = gaps.particulars().stem();
        int firstLine = instructionEnd(stem);
        if (firstLine >= 0) {
            document.begin(PrintDocument.Look.PLAIN);
            prose(stem.cut(firstLine + 1, Integer.MAX_VALUE), sentences);
            document.end();
        }
        if (sentences) {
            for (int i = 0; i < gaps.words().size(); i++) {
                option(
                        letter(i) + ". ",
                        Prose.of(gaps.words().get(i)),
                        i + 1 == gaps.words().size());
            }
        }
        answer(sentences ? lettersOf(gaps) : String.join(", ", gaps.key()));
        return true;
    }

    /** Sentences are lettered below their text, for their own commas and stops would part them in a line. */
    private static boolean areSentences(GapMatch gaps) {
        return gaps.words().stream().anyMatch(word -> word.matches(".*[.?!,;].*"));
    }

    /** "1 B, 2 D"; empty where there is no key. */
    private static String lettersOf(GapMatch gaps) {
        return IntStream.range(0, gaps.key().size())
                .mapToObj(i ->
                        (i + 1) + " " + letter(gaps.words().indexOf(gaps.key().get(i))))
                .collect(Collectors.joining(", "));
    }

    @Override
    public Boolean tableEntry(TableEntry table) {
        document.beginTable(table.rows().get(0).size());
        for (List<Prose> row : table.rows()) {
            document.beginRow();
            row.forEach(text -> cell(
                    "",
                    text.parts().equals(List.of(new Inline.Gap(1)))
                                    || text.plain().matches("\\[\\[\\d+]]")
                            ? Prose.EMPTY
                            : text));
            document.endRow();
        }
        document.endTable();
        answer(AnswerText.of(table).replace("\n", "; "));
        return true;
    }

    @Override
    public Boolean hottext(Hottext text) {
        answer(String.join(", ", text.spans()));
        return true;
    }

    @Override
    public Boolean pictureLabel(PictureLabel picture) {
        if (!picture.words().isEmpty()) {
            line(String.join("     ", picture.words()), INDENT);
        }
        StringBuilder places = new StringBuilder();
        picture.labels()
                .forEach(label -> places.append(label).append(' ').append(RULE).append("   "));
        line(places.toString().strip(), INDENT);
        answer(AnswerText.of(picture).replace("\n", "; "));
        return true;
    }
}
