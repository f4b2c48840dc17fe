package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.line.Equations;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Emphasis;

/**
 * "Fill in the missing words" over a text without gaps in which some words are underlined, marked or coloured, or stand
 * between low lines, "_wax_": the author's copy, with the answers where the gaps are to be.
 */
final class SetApartAnswers {

    private static final Pattern ASKED = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("fill_gaps") + "\\b");

    private static final Pattern ASKS = Vocabulary.pattern(
            "(?:.*[.:!]\\s+)?" + Vocabulary.ALL.either("explain", "number", "tell", "task", "instruction") + "\\b.*");

    private static final Pattern BETWEEN_LINES =
            Pattern.compile("(?<![\\p{L}\\d_])_([\\p{L}\\d](?:[^_]{0,30}[\\p{L}\\d])?)_(?![\\p{L}\\d_])");

    private static final int MOST_WORDS = 4;

    private SetApartAnswers() {}

    /**
     * The question with those words as gaps; empty where nothing asks to fill any in, or no word is set apart.
     *
     * @param said what stands above the question
     */
    static Optional<TextEntry> find(Particulars particulars, String said) {
        Prose stem = particulars.stem();
        boolean asked = stem.gapCount() == 0
                && (ASKED.matcher(said + " " + stem.plain()).find()
                        || isEquation(stem)
                        || isStatementWithColour(stem, said));
        if (!asked) {
            return Optional.empty();
        }
        for (Emphasis sign : Equations.SET_APART) {
            Optional<TextEntry> found = bySign(particulars, sign);
            if (found.isPresent()) {
                return found;
            }
        }
        return betweenLines(particulars);
    }

    private static boolean isEquation(Prose stem) {
        List<Inline> parts = stem.parts();
        return IntStream.range(1, parts.size())
                .anyMatch(i -> parts.get(i) instanceof Inline.Text answer
                        && Equations.SET_APART.stream().anyMatch(answer.emphasis()::contains)
                        && Equations.BEHIND_EQUALS
                                .matcher(parts.get(i - 1).plain())
                                .matches());
    }

    /** "The first flight of a queen is her &lt;red&gt;mating&lt;/red&gt; flight.": it asks nothing, and nobody is to judge it. */
    private static boolean isStatementWithColour(Prose stem, String said) {
        String text = stem.plain().strip();
        boolean statement = text.endsWith(".")
                && text.indexOf('?') < 0
                && !ASKS.matcher(text).matches()
                && JudgedBy.in(said).isEmpty();
        return statement
                && stem.parts().stream()
                        .anyMatch(part -> part instanceof Inline.Text word
                                && (word.emphasis().contains(Emphasis.COLOR)
                                        || word.emphasis().contains(Emphasis.HIGHLIGHT)));
    }

    private static Optional<TextEntry> bySign(Particulars particulars, Emphasis sign) {
        List<Inline> parts = new ArrayList<>();
        List<List<String>> answers = new ArrayList<>();
        int others = 0;
        for (Inline part : particulars.stem().parts()) {
            if (part instanceof Inline.Text text
                    && text.emphasis().contains(sign)
                    && !text.text().isBlank()) {
                String answer = text.text().strip();
                if (answer.split("\\s+").length > MOST_WORDS
                        || ASKED.matcher(answer).find()
                        || answer.endsWith(":")) {
                    return Optional.empty();
                }
                answers.add(GapParser.accepted(answer, 1).get(0));
                addBlank(parts, text.text().startsWith(" "));
                parts.add(new Inline.Gap(answers.size()));
                addBlank(parts, text.text().endsWith(" "));
            } else {
                others += part.plain().length();
                parts.add(part);
            }
        }
        boolean inText = others
                > answers.stream()
                        .mapToInt(gap -> gap.isEmpty() ? 0 : gap.get(0).length())
                        .sum();
        return answers.isEmpty() || !inText
                ? Optional.empty()
                : Optional.of(new TextEntry(particulars.withStem(new Prose(parts).joined()), answers));
    }

    private static Optional<TextEntry> betweenLines(Particulars particulars) {
        List<Inline> parts = new ArrayList<>();
        List<List<String>> answers = new ArrayList<>();
        for (Inline part : particulars.stem().parts()) {
            if (!(part instanceof Inline.Text text)) {
                parts.add(part);
                continue;
            }
            Matcher matcher = BETWEEN_LINES.matcher(text.text());
            int at = 0;
            while (matcher.find()) {
                parts.add(new Inline.Text(text.text().substring(at, matcher.start()), text.emphasis()));
                answers.add(GapParser.accepted(matcher.group(1), 1).get(0));
                parts.add(new Inline.Gap(answers.size()));
                at = matcher.end();
            }
            parts.add(new Inline.Text(text.text().substring(at), text.emphasis()));
        }
        parts.removeIf(part -> part.plain().isEmpty() && part instanceof Inline.Text);
        return answers.isEmpty()
                ? Optional.empty()
                : Optional.of(new TextEntry(particulars.withStem(new Prose(parts)), answers));
    }

    private static void addBlank(List<Inline> parts, boolean blank) {
        if (blank) {
            parts.add(new Inline.Text(" ", Set.of()));
        }
    }
}
