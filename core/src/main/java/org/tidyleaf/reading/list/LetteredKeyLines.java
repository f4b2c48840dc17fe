package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Exercise 2: a) wax; b) comb" and "B" over "a. wax", "b. comb": answers of a part of the test whose questions have letters. Goes on
 * from line to line; one per list.
 */
final class LetteredKeyLines {

    private static final Pattern HEAD = Vocabulary.pattern("((?:" + Vocabulary.ALL.either("section", "question")
            + ")\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,5})|(?-i:[IVX]{1,5}|[A-H]))\\s*[:.)\u2013-]+\\s*(?=(?-i:[(]?a[.):\\s]))");

    /** A letter with a sign behind it, or with nothing. */
    private static final Pattern LETTER = Pattern.compile("[(]?([a-z])([.):]?)(?:\\s+|(?<=[)])(?=\\S))(?=\\S)");

    private static final Pattern NUMBER = Pattern.compile("\\d{1,2}");

    /** The letter of the last answer, and what stood behind it; 0 where a part begins. */
    private char last;

    private String sign = "";

    /** The part whose answers were read last. */
    private String part = "";

    /**
     * What a line says.
     *
     * @param heading the part that it names before its answers; empty where it names none
     * @param answers by their letters
     */
    record Said(String heading, List<NumberedAnswers.Answer> answers) {}

    /** A new part begins. */
    void begin() {
        last = 0;
    }

    /**
     * The answers of a line; empty where it has none.
     *
     * @param heading the part above, empty where none was named
     * @param below the line below it, or empty
     */
    Optional<Said> read(String text, String heading, String below) {
        Matcher head = HEAD.matcher(text);
        boolean headed = head.lookingAt();
        String named = headed ? head.group(1) : heading;
        if (named.isEmpty()) {
            return Optional.empty();
        }
        last = named.equals(part) ? last : 0;
        part = named;
        char wanted = headed || last == 0 ? 'a' : (char) (last + 1);
        String rest = headed ? text.substring(head.end()) : text;
        Matcher letter = LETTER.matcher(rest);
        boolean begins = letter.lookingAt()
                && letter.group(1).charAt(0) == wanted
                && (wanted == 'a' || letter.group(2).equals(sign))
                && (!letter.group(2).isEmpty() || wanted > 'a' || goesOn(rest, below));
        if (!begins) {
            return Optional.empty();
        }
        sign = letter.group(2);
        return Optional.of(new Said(headed ? head.group(1) : "", cut(rest, wanted, named)));
    }

    /** "a" may be a word: without a sign behind it, "b" has to come soon. */
    private static boolean goesOn(String text, String below) {
        return below.startsWith("b ")
                || Pattern.compile("[,;\\s]\\s*b\\s+\\S").matcher(text).find();
    }

    private List<NumberedAnswers.Answer> cut(String text, char first, String heading) {
        // Below the mere number of a question its parts are "3a" and "3b".
        String before = NUMBER.matcher(heading).matches() ? heading : "";
        List<NumberedAnswers.Answer> answers = new ArrayList<>();
        Matcher letter = LETTER.matcher(text);
        letter.lookingAt();
        char at = first;
        int from = letter.end();
        while (from >= 0) {
            Matcher next = Pattern.compile(
                            "[,;]?\\s+[(]?" + (char) (at + 1) + Pattern.quote(sign) + "(?:\\s+|(?<=[)])(?=\\S))")
                    .matcher(text);
            boolean further = next.find(from);
            String said = text.substring(from, further ? next.start() : text.length());
            answers.add(new NumberedAnswers.Answer(before + at, said));
            from = further ? next.end() : -1;
            last = at;
            at++;
        }
        return answers;
    }
}
