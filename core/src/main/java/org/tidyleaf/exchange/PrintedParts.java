package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.AnswerText;

/** What stands below the stem of a printed question: options, lists, tables, room to write, and with the key the answer. */
final class PrintedParts implements Question.Cases<Boolean> {

    private static final String WRITING_LINE = "_".repeat(78);

    /** Lines to write on for each point of an open question, and for the least and the most of them. */
    private static final int LINES_A_POINT = 2;

    private static final int LEAST_LINES = 3;
    private static final int MOST_LINES = 14;

    private final PrintDocument document;
    private final PrintedProse prose;
    private final PrintedLabels labels;
    private final boolean keyed;

    PrintedParts(PrintDocument document, PrintedProse prose, PrintedLabels labels, boolean keyed) {
        this.document = document;
        this.prose = prose;
        this.labels = labels;
        this.keyed = keyed;
    }

    private void answer(String text) {
        answer("Answer: ", text);
    }

    private void answer(String word, String text) {
        if (keyed && !text.isEmpty()) {
            prose.line(word + text, PrintedProse.INDENT);
        }
    }

    private static String letter(int place) {
        return String.valueOf((char) ('A' + place % 26));
    }

    @Override
    public Boolean choice(ChoiceQuestion choice) {
        List<String> right = new ArrayList<>();
        if (labels.isJudgedPart(choice)) {
            choice.key().forEach(i -> right.add(choice.options().get(i).text().plain()));
            answer(String.join(", ", right));
            return true;
        }
        for (int i = 0; i < choice.options().size(); i++) {
            Option option = choice.options().get(i);
            prose.option(
                    letter(i) + ". ", option.text(), i + 1 == choice.options().size());
            if (choice.key().contains(i)) {
                right.add(letter(i));
            }
        }
        answer(String.join(", ", right));
        return true;
    }

    @Override
    public Boolean textEntry(TextEntry text) {
        if (text.particulars().stem().gapCount() == 0
                && (!keyed || text.gaps().stream().allMatch(List::isEmpty))) {
            prose.line(PrintedProse.RULE + PrintedProse.RULE, PrintedProse.INDENT);
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
            prose.line(
                    PrintedProse.RULE + " "
                            + number.key().map(NumericEntry.Key::unit).orElse(""),
                    PrintedProse.INDENT);
        }
        answer(AnswerText.of(number));
        return true;
    }

    @Override
    public Boolean extendedText(ExtendedText text) {
        if (!keyed || text.answer().isEmpty()) {
            int lines = Marker.most(text).intValue() * LINES_A_POINT;
            for (int i = 0; i < Math.max(LEAST_LINES, Math.min(MOST_LINES, lines)); i++) {
                prose.line(WRITING_LINE, 0);
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
            prose.cell(
                    i < match.lefts().size() ? (i + 1) + ") " : "",
                    i < match.lefts().size() ? match.lefts().get(i) : Prose.EMPTY);
            String label = i < match.targets().size() ? letter(i).toLowerCase(Locale.ROOT) + ") " : "";
            prose.cell(label, i < match.targets().size() ? match.targets().get(i) : Prose.EMPTY);
            document.endRow();
        }
        document.endTable();
        List<String> pairs = new ArrayList<>();
        for (int i = 0; i < match.key().size(); i++) {
            pairs.add((i + 1) + "-" + letter(match.key().get(i)).toLowerCase(Locale.ROOT));
        }
        answer(String.join(", ", pairs));
        return true;
    }

    @Override
    public Boolean order(Order order) {
        for (int i = 0; i < order.items().size(); i++) {
            prose.option(
                    letter(i) + ". ",
                    order.items().get(i),
                    i + 1 == order.items().size());
        }
        answer(String.join(", ", order.key().stream().map(PrintedParts::letter).toList()));
        return true;
    }

    @Override
    public Boolean grid(Grid grid) {
        document.beginTable(grid.columns().size() + 1).beginRow();
        prose.cell("", Prose.EMPTY);
        grid.columns().forEach(head -> prose.cell("", head));
        document.endRow();
        for (int row = 0; row < grid.rows().size(); row++) {
            document.beginRow();
            prose.cell("", grid.rows().get(row));
            for (int column = 0; column < grid.columns().size(); column++) {
                boolean right =
                        keyed && row < grid.key().size() && grid.key().get(row).contains(column);
                prose.cell(right ? "x" : keyed ? "" : "\u2610", Prose.EMPTY);
            }
            document.endRow();
        }
        document.endTable();
        return true;
    }

    @Override
    public Boolean gapMatch(GapMatch gaps) {
        boolean sentences = PrintedBanks.areSentences(gaps);
        if (!sentences && !PrintedBanks.isBankFirst(gaps)) {
            prose.line(String.join("     ", gaps.words()), PrintedProse.INDENT);
        }
        Prose stem = gaps.particulars().stem();
        int firstLine = PrintedBanks.instructionEnd(stem);
        if (firstLine >= 0) {
            document.begin(PrintDocument.Look.PLAIN);
            prose.write(stem.cut(firstLine + 1, Integer.MAX_VALUE), sentences);
            document.end();
        }
        if (sentences) {
            for (int i = 0; i < gaps.words().size(); i++) {
                prose.option(
                        letter(i) + ". ",
                        Prose.of(gaps.words().get(i)),
                        i + 1 == gaps.words().size());
            }
        }
        answer(sentences ? lettersOf(gaps) : String.join(", ", gaps.key()));
        return true;
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
            row.forEach(text -> prose.cell(
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
            prose.line(String.join("     ", picture.words()), PrintedProse.INDENT);
        }
        StringBuilder places = new StringBuilder();
        picture.labels()
                .forEach(label -> places.append(label)
                        .append(' ')
                        .append(PrintedProse.RULE)
                        .append("   "));
        prose.line(places.toString().strip(), PrintedProse.INDENT);
        answer(AnswerText.of(picture).replace("\n", "; "));
        return true;
    }
}
