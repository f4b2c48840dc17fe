package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;

/** The parts of a test in one line of its key: "A: 1c 2a   B: 1T 2F", "Part 1: 1B 2A. Part 2: 6 wax". */
final class KeyLineParts {

    /** By their names. */
    private static final Pattern NAMED = Vocabulary.pattern(
            "(?:^|(?<=[\\s.;,]))((?:" + NumberedAnswers.WORD + "|" + Vocabulary.ALL.either("section", "passage_head")
                    + "|ex|es|ej|\u00fcb|aufg|zad|opdr|oef)\\.?\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,4}))\\s*[:.)\u2013-]\\s+");

    /** "I. 1-b, 2-a   II. 3, 1, 2": by their numerals or letters, far apart. */
    private static final Pattern FAR = Pattern.compile("(?:^\\s*|\\t|\\s{3,})([IVX]{1,4}|[A-H])\\s*[.:)]\\s+");

    private static final Pattern FIRST_ANSWER = Pattern.compile("[(]?1\\s*[.):=-]?\\s*[(]?\\p{L}");
    private static final Pattern STEPS = Pattern.compile("\\d{1,2}(?:\\s*[,;-]\\s*\\d{1,2}){2}");

    /** What the key says of one part. */
    record Part(String head, String said) {}

    private KeyLineParts() {}

    /** By numerals or letters where at least two of them begin anew, else by names; empty where the line has no parts. */
    static List<Part> of(String text) {
        return beginAnew(text) ? cut(FAR, text) : cut(NAMED, text);
    }

    /** Whether a line begins with a part's numeral or letter. */
    static boolean isNamed(String text) {
        return FAR.matcher(text).lookingAt() || NAMED.matcher(text).lookingAt();
    }

    private static List<Part> cut(Pattern pattern, String text) {
        Matcher part = pattern.matcher(text);
        List<Integer> starts = new ArrayList<>();
        List<Integer> ends = new ArrayList<>();
        List<String> heads = new ArrayList<>();
        while (part.find()) {
            starts.add(part.start());
            ends.add(part.end());
            heads.add(part.group(1));
        }
        List<Part> parts = new ArrayList<>();
        boolean whole = starts.size() > 1 && text.substring(0, starts.get(0)).isBlank();
        for (int i = 0; whole && i < starts.size(); i++) {
            int end = i + 1 < starts.size() ? starts.get(i + 1) : text.length();
            String said = text.substring(ends.get(i), end).strip().replaceFirst("[.;]$", "");
            parts.add(new Part(heads.get(i), said));
        }
        return parts;
    }

    /** Whether the answers of at least two numbered parts begin with 1, or say nothing of numbers. */
    private static boolean beginAnew(String text) {
        Matcher part = FAR.matcher(text);
        List<String> heads = new ArrayList<>();
        int begun = 0;
        while (part.find()) {
            heads.add(part.group(1));
            String said = text.substring(part.end());
            begun += FIRST_ANSWER.matcher(said).lookingAt()
                            || STEPS.matcher(said).lookingAt()
                    ? 1
                    : 0;
        }
        boolean first = !heads.isEmpty() && text.strip().startsWith(heads.get(0));
        return first
                && begun > 1
                && (heads.subList(0, 2).equals(List.of("I", "II"))
                        || heads.subList(0, 2).equals(List.of("A", "B")));
    }
}
