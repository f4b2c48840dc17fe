package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.JudgedFeedback;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/** What the first row of a table of questions says its columns hold: "No. | Question | Option A | Right | Marks". */
final class ColumnHeads {

    private static final Vocabulary WORDS = Vocabulary.ALL;

    /** A longer text asks something and heads nothing. */
    private static final int LONGEST = 40;

    private static final String OPTION_WORD = WORDS.either("column_option", "answer", "column_wrong", "options");

    private static final Pattern OPTION =
            Vocabulary.pattern("(?:[(\\[]?(?:" + OPTION_WORD + ")\\.?\\s*[-_#:]?\\s*)?[(\\[]?([A-H]|[1-9])[)\\]]?\\W*");
    private static final Pattern WRONG = Vocabulary.pattern("(?:.*\\b)?" + WORDS.either("column_wrong") + "\\b.*");
    private static final Pattern KEY = Vocabulary.pattern("(?:.*\\b)?" + WORDS.either("column_key") + "\\b.*");
    private static final Pattern NUMBER =
            Vocabulary.pattern("(?:" + WORDS.either("column_number") + "|n\u00b0|n\u00ba|#)\\W*|#");
    private static final Pattern STEM = Vocabulary.pattern(WORDS.either("column_stem") + "\\W*");

    /** "Question and options": both stand in one cell, below one another. */
    private static final Pattern STEM_AND_OPTIONS = Vocabulary.pattern(WORDS.either("column_stem", "question")
            + "s?\\s*(?:[/&+,]|" + WORDS.either("and", "with") + ")\\s*(?:\\p{L}{1,10}\\s)?"
            + WORDS.either("options", "column_option") + "\\p{L}{0,2}\\W*");

    /** "Feedback if correct" holds no key. */
    private static final Pattern FEEDBACK = Vocabulary.pattern("(?:.*\\b)?" + WORDS.either("feedback") + "\\b.*");

    private ColumnHeads() {}

    /** The columns that a row heads, each with the use of its cells; what it leaves open is missing. */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Integer> row) {
        Map<Integer, Columns.Use> heads = new HashMap<>();
        String whole = String.join(
                " / ",
                row.values().stream()
                        .map(piece -> all.get(piece).text())
                        .filter(head -> head.strip().split("\\s+").length < 3)
                        // "r | f" is "R | F".
                        .map(head -> head.length() == 1 ? head.toUpperCase(Locale.ROOT) : head)
                        .toList());
        boolean inOne = row.values().stream()
                        .filter(piece -> JudgedBy.in(all.get(piece).text()).isPresent())
                        .count()
                == 1;
        if (!inOne && JudgedBy.in(whole).isPresent()) {
            // "right | wrong": statements are judged in these columns.
            return Map.of();
        }
        row.forEach((column, piece) -> kind(all.get(piece).text())
                .or(() ->
                        JudgedBy.in(all.get(piece).text()).map(pair -> new Columns.Use(Columns.Kind.ANSWER, "", false)))
                .ifPresent(use -> heads.put(column, use)));
        numberedItems(all, row, heads);
        if (row.values().stream()
                .map(piece -> all.get(piece).text())
                .anyMatch(head -> head.length() < LONGEST
                        && WRONG.matcher(head).matches()
                        && !FEEDBACK.matcher(head).matches())) {
            // Beside wrong answers the right one is an option too.
            heads.replaceAll((column, use) ->
                    use.kind() == Columns.Kind.ANSWER ? new Columns.Use(Columns.Kind.RIGHT_OPTION, "", false) : use);
        }
        return heads;
    }

    /** What a head calls a column that it does not say the use of; empty where it is too long for a name. */
    static String name(Cues head) {
        String text = head.text().strip().replaceAll("[.:]$", "");
        return text.length() < LONGEST ? text : "";
    }

    /** "Item | Statement": of two words for a question the first, with numbers below it, counts them. */
    private static void numberedItems(List<Cues> all, Map<Integer, Integer> row, Map<Integer, Columns.Use> heads) {
        List<Integer> questions = heads.entrySet().stream()
                .filter(e -> e.getValue().kind() == Columns.Kind.QUESTION)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        if (questions.size() > 1) {
            Columns.Kind first = heads.containsValue(new Columns.Use(Columns.Kind.NUMBER, "", false))
                    ? Columns.Kind.LABEL
                    : Columns.Kind.NUMBER;
            String head = all.get(row.get(questions.get(0))).text();
            heads.put(questions.get(0), new Columns.Use(first, first == Columns.Kind.LABEL ? head : "", false));
        }
    }

    private static Optional<Columns.Use> kind(String text) {
        String head = text.strip().replaceAll("[.:]$", "");
        if (head.length() >= LONGEST) {
            return Optional.empty();
        }
        if (FEEDBACK.matcher(head).matches()) {
            return use(Columns.Kind.FEEDBACK, JudgedFeedback.isForRight(head).isPresent() ? head : "");
        }
        Matcher option = OPTION.matcher(head);
        if (option.matches()) {
            return use(Columns.Kind.OPTION, WRONG.matcher(head).matches() ? "" : option.group(1));
        }
        String word = head.toLowerCase(Locale.ROOT);
        if (WORDS.has("options", word) || WRONG.matcher(head).matches()) {
            return use(Columns.Kind.OPTION, "");
        }
        String points = word.replaceAll("[.](?=\\s)", "");
        if (WORDS.has("points", points) || WORDS.has("column_points", points)) {
            return use(Columns.Kind.POINTS, "");
        }
        if (WORDS.has("hint", word)) {
            return use(Columns.Kind.HINT, "");
        }
        if (NUMBER.matcher(word).matches()) {
            return use(Columns.Kind.NUMBER, "");
        }
        if (STEM.matcher(word).matches() || STEM_AND_OPTIONS.matcher(word).matches() || WORDS.has("question", word)) {
            return use(Columns.Kind.QUESTION, "");
        }
        if (WORDS.has("answer", word)
                || WORDS.has("list", word)
                || WORDS.has("model", word)
                || KEY.matcher(head).matches()) {
            return use(Columns.Kind.ANSWER, "");
        }
        return WORDS.has("label", word) ? use(Columns.Kind.LABEL, head) : Optional.empty();
    }

    private static Optional<Columns.Use> use(Columns.Kind kind, String name) {
        return Optional.of(new Columns.Use(kind, name, false));
    }
}
