package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.reading.AnswerText;

/**
 * A test as plain text that anybody can read, and that our own reader reads again: numbers, letters, answer lines. Pictures
 * are named, not shown.
 */
public final class PlainTest implements SomeCases<Boolean> {

    private final StringBuilder out = new StringBuilder();
    private final boolean keyed;
    private final boolean markdown;

    private PlainTest(boolean keyed, boolean markdown) {
        this.keyed = keyed;
        this.markdown = markdown;
    }

    /** @param keyed whether the right answers stand in it */
    public static String write(Quiz quiz, boolean keyed) {
        return new PlainTest(keyed, false).written(quiz);
    }

    /** The same as Markdown (CommonMark, with tables): headings, bold, formulas between dollar signs. */
    public static String markdown(Quiz quiz, boolean keyed) {
        String plain = new PlainTest(keyed, true).written(quiz);
        // Two spaces at its end make a line end where it ends; tables and headings end by themselves.
        return plain.replaceAll("(?m)(?<=[^\\n|])$(?=\\n(?![\\n|#]))", "  ");
    }

    private String written(Quiz quiz) {
        out.append(markdown ? "# " : "").append(escaped(quiz.title())).append("\n\n");
        int section = -1;
        int passage = -1;
        for (int i = 0; i < quiz.questions().size(); i++) {
            Question question = quiz.questions().get(i);
            Particulars particulars = question.particulars();
            if (particulars.section() >= 0 && particulars.section() != section) {
                section(quiz.sections().get(particulars.section()));
            }
            section = particulars.section();
            if (particulars.stimulus() >= 0 && particulars.stimulus() != passage) {
                out.append(lines(quiz.stimuli().get(particulars.stimulus()).text()))
                        .append("\n\n");
            }
            passage = particulars.stimulus();
            question(question, i);
        }
        return out.toString().strip() + "\n";
    }

    private void section(Section section) {
        out.append(markdown ? "## " : "").append(escaped(section.title())).append(markdown ? "\n\n" : "\n");
        if (!section.instructions().isEmpty()) {
            out.append(lines(section.instructions())).append('\n');
        }
        out.append('\n');
    }

    private void question(Question question, int place) {
        Particulars particulars = question.particulars();
        String number = particulars.number().isEmpty() ? String.valueOf(place + 1) : particulars.number();
        String points = particulars
                .points()
                .map(value -> " (" + value.stripTrailingZeros().toPlainString()
                        + (value.stripTrailingZeros().toPlainString().equals("1") ? " point)" : " points)"))
                .orElse("");
        out.append(markdown ? "**" + number + ".** " : number + ". ")
                .append(lines(particulars.stem()))
                .append(points)
                .append('\n');
        particulars
                .stem()
                .pictures()
                .forEach(picture ->
                        out.append("[picture: ").append(picture.figure()).append("]\n"));
        question.match(this);
        if (keyed && !particulars.feedback().isEmpty()) {
            out.append("Explanation: ").append(particulars.feedback().plain()).append('\n');
        }
        if (!particulars.hint().isEmpty()) {
            out.append("Hint: ").append(particulars.hint().plain()).append('\n');
        }
        if (keyed) {
            notes(particulars.settings())
                    .forEach(note -> out.append(escaped(note)).append('\n'));
        }
        out.append('\n');
    }

    /** What the author noted, as our reader understands it. */
    static List<String> notes(Settings settings) {
        List<String> notes = new ArrayList<>();
        if (!settings.topic().isEmpty()) {
            notes.add("Topic: " + settings.topic());
        }
        settings.labels()
                .forEach(label -> notes.add(label.matches("\\p{L}[\\p{L} ]*:.*") ? label : "Remark: " + label));
        return notes;
    }

    /** Gaps are rules to write on. */
    private String lines(Prose prose) {
        return markdown ? MarkdownProse.lines(prose) : prose.typed().replaceAll("\\[\\[\\d+]]", "__________");
    }

    private String escaped(String text) {
        return markdown ? MarkdownProse.escaped(text) : text;
    }

    /** Cells side by side: with tabs between, or as a table whose first row is its head. */
    private void row(List<String> cells, boolean first) {
        if (!markdown) {
            out.append(String.join("\t", cells)).append('\n');
            return;
        }
        out.append(first ? "\n" : "")
                .append("| ")
                .append(String.join(" | ", cells))
                .append(" |\n");
        if (first) {
            out.append("|").append("---|".repeat(cells.size())).append('\n');
        }
    }

    private void endRows() {
        out.append(markdown ? "\n" : "");
    }

    private void answer(String word, String text) {
        if (keyed && !text.isEmpty()) {
            out.append(word).append(": ").append(escaped(text)).append('\n');
        }
    }

    private void lettered(List<String> texts) {
        for (int i = 0; i < texts.size(); i++) {
            out.append(letter(i)).append(". ").append(texts.get(i)).append('\n');
        }
    }

    private static char letter(int place) {
        return (char) ('A' + place % 26);
    }

    @Override
    public Boolean choice(ChoiceQuestion choice) {
        lettered(choice.options().stream().map(Option::text).map(this::lines).toList());
        List<String> right = choice.key().stream()
                .sorted()
                .map(place -> String.valueOf(letter(place)))
                .toList();
        answer("Answer", String.join(", ", right));
        return true;
    }

    @Override
    public Boolean match(Match match) {
        int rows = Math.max(match.lefts().size(), match.targets().size());
        if (markdown) {
            row(List.of("", ""), true);
        }
        for (int i = 0; i < rows; i++) {
            String left = i < match.lefts().size()
                    ? (i + 1) + ") " + lines(match.lefts().get(i))
                    : "";
            String right = i < match.targets().size()
                    ? Character.toLowerCase(letter(i)) + ") "
                            + lines(match.targets().get(i))
                    : "";
            row(List.of(left, right), false);
        }
        endRows();
        StringBuilder key = new StringBuilder();
        for (int i = 0; i < match.key().size(); i++) {
            key.append(i == 0 ? "" : ", ")
                    .append(i + 1)
                    .append('-')
                    .append(Character.toLowerCase(letter(match.key().get(i))));
        }
        answer("Answer", key.toString());
        return true;
    }

    @Override
    public Boolean order(Order order) {
        lettered(order.items().stream().map(this::lines).toList());
        answer(
                "Answer",
                String.join(
                        ", ",
                        order.key().stream()
                                .map(place -> String.valueOf(letter(place)))
                                .toList()));
        return true;
    }

    @Override
    public Boolean grid(Grid grid) {
        List<String> heads = new ArrayList<>(List.of(""));
        grid.columns().forEach(column -> heads.add(lines(column)));
        row(heads, true);
        for (int row = 0; row < grid.rows().size(); row++) {
            List<String> cells = new ArrayList<>(List.of(lines(grid.rows().get(row))));
            for (int column = 0; column < grid.columns().size(); column++) {
                boolean ticked =
                        keyed && row < grid.key().size() && grid.key().get(row).contains(column);
                cells.add(ticked ? "x" : markdown ? "" : "[ ]");
            }
            row(cells, false);
        }
        endRows();
        return true;
    }

    @Override
    public Boolean gapMatch(GapMatch gaps) {
        out.append("Words: ")
                .append(escaped(String.join(markdown ? " / " : "   ", gaps.words())))
                .append('\n');
        answer("Answers", String.join(", ", gaps.key()));
        return true;
    }

    @Override
    public Boolean tableEntry(TableEntry table) {
        for (int i = 0; i < table.rows().size(); i++) {
            row(table.rows().get(i).stream().map(this::lines).toList(), i == 0);
        }
        endRows();
        answer("Answers", AnswerText.of(table).replace("\n", "; "));
        return true;
    }

    @Override
    public Boolean hottext(Hottext text) {
        answer("Answer", String.join(", ", text.spans()));
        return true;
    }

    @Override
    public Boolean pictureLabel(PictureLabel picture) {
        picture.labels().forEach(label -> out.append(label).append(escaped(" __________\n")));
        answer("Answers", AnswerText.of(picture).replace("\n", "; "));
        return true;
    }

    @Override
    public Boolean otherwise(Question question) {
        String said = AnswerText.of(question);
        boolean open = question.type() == org.tidyleaf.question.QuestionType.EXTENDED_TEXT;
        answer(open ? "Model answer" : "Answer", said.replace("\n", "; "));
        return true;
    }
}
