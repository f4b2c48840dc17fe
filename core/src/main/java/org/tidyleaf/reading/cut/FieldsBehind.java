package org.tidyleaf.reading.cut;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** "ANS: A   PTS: 1   REF: p. 31": behind the answer, far apart, fields with the same names again and again. */
final class FieldsBehind {

    private static final Pattern ANSWER =
            Vocabulary.pattern("\\W*(?:\\d{1,3}[.)]\\s*)?" + Vocabulary.ALL.either("answer") + "\\.?\\s?[:=]");
    private static final Pattern FIELD = Pattern.compile(
            "(?:\\t|\\s{2,})(\\p{Lu}[\\p{L}.'\u2019]{1,14}(?:\\s\\p{L}[\\p{L}.'\u2019]{0,12}){0,2}):\\s*(?=\\S)");

    /** A name that stands but once may be part of the answer. */
    private static final int AGAIN = 2;

    private final Map<Integer, Integer> cuts = new HashMap<>();

    FieldsBehind(Source source) {
        Map<String, Integer> seen = new HashMap<>();
        Map<Integer, String> names = new HashMap<>();
        for (Line line : source.lines()) {
            String text = line.text();
            boolean possible = text.indexOf(':') > 0 && line.layout().cell().isEmpty();
            Matcher answer = ANSWER.matcher(text);
            Matcher field = FIELD.matcher(text);
            if (possible && answer.lookingAt() && field.find(answer.end())) {
                String name = field.group(1).toLowerCase(Locale.ROOT);
                seen.merge(name, 1, Integer::sum);
                names.put(line.number(), name);
                cuts.put(line.number(), field.start(1));
            }
        }
        cuts.keySet().removeIf(line -> seen.get(names.get(line)) < AGAIN);
    }

    /** Where the fields begin; 0 where the line has none. */
    int cut(Line line) {
        return cuts.getOrDefault(line.number(), 0);
    }
}
