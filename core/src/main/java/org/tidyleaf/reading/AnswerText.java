package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.wording.NumberParser;

/** Right answers as a teacher types them: "colour / color", a line for each gap; "3.2 mm (± 0.1)". */
public final class AnswerText {

    private AnswerText() {}

    /** For each of the gaps the accepted spellings; a gap without a line of its own gets none. */
    public static List<List<String>> gaps(String text, int gaps) {
        List<String> lines = text.lines().filter(line -> !line.isBlank()).toList();
        if (gaps > 1 && lines.size() <= 1) {
            return GapParser.accepted(text.strip(), gaps);
        }
        List<List<String>> result = new ArrayList<>();
        for (int i = 0; i < gaps; i++) {
            result.add(i < lines.size() ? GapParser.accepted(lines.get(i), 1).get(0) : List.of());
        }
        return result;
    }

    public static Optional<NumericEntry.Key> number(String text) {
        return NumberParser.key(text);
    }

    /** What a teacher would type for the answer that a question has now; empty where it has none. */
    public static String of(Question question) {
        return question.match(new Question.Cases<>() {
            @Override
            public String choice(ChoiceQuestion choice) {
                return choice.key().stream()
                        .sorted()
                        .map(i -> choice.options().get(i).text().plain())
                        .collect(Collectors.joining(" / "));
            }

            @Override
            public String textEntry(TextEntry entry) {
                return lines(entry.gaps());
            }

            @Override
            public String numericEntry(NumericEntry entry) {
                return entry.key().map(AnswerText::number).orElse("");
            }

            @Override
            public String extendedText(ExtendedText text) {
                return text.answer().typed();
            }

            @Override
            public String match(Match match) {
                return IntStream.range(0, match.key().size())
                        .mapToObj(i -> match.lefts().get(i).plain() + " = "
                                + match.targets().get(match.key().get(i)).plain())
                        .collect(Collectors.joining("\n"));
            }

            @Override
            public String order(Order order) {
                return order.key().stream()
                        .map(i -> order.items().get(i).plain())
                        .collect(Collectors.joining("\n"));
            }

            @Override
            public String grid(Grid grid) {
                return IntStream.range(0, grid.key().size())
                        .mapToObj(i -> grid.rows().get(i).plain() + " = "
                                + grid.key().get(i).stream()
                                        .sorted()
                                        .map(column ->
                                                grid.columns().get(column).plain())
                                        .collect(Collectors.joining(" / ")))
                        .collect(Collectors.joining("\n"));
            }

            @Override
            public String gapMatch(GapMatch gaps) {
                return String.join("\n", gaps.key());
            }

            @Override
            public String tableEntry(TableEntry table) {
                return lines(table.gaps());
            }

            @Override
            public String hottext(Hottext text) {
                return String.join("\n", text.spans());
            }

            @Override
            public String pictureLabel(PictureLabel picture) {
                return lines(picture.gaps());
            }
        });
    }

    private static String lines(List<List<String>> gaps) {
        return gaps.stream()
                .map(gap -> String.join(" / ", gap))
                .collect(Collectors.joining("\n"))
                .strip();
    }

    private static String number(NumericEntry.Key key) {
        String unit = key.unit().isEmpty() ? "" : " " + key.unit();
        String tolerance = key.tolerance()
                .filter(t -> t.signum() > 0)
                .map(t -> " (\u00b1 " + t.toPlainString() + ")")
                .orElse("");
        return key.value().toPlainString() + unit + tolerance;
    }
}
