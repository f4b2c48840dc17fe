package org.tidyleaf.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * "Chapter: 2   Level: A": several fields with their names on one line, the same names again and again below the
 * questions, are an author's labels, whatever the names are.
 */
final class LabelLines {

    private static final String NAME = "(\\p{L}[\\p{L}.]{1,13}|\\p{L}{2,10}\\s\\p{L}{2,10})\\s?[:=]\\s?";
    private static final Pattern FIELDS =
            Pattern.compile(NAME + "\\S.{0,60}?(?:\\t|\\s{2,}|\\s?[|;]\\s)\\s*" + NAME + "\\S.*");

    /** "(Long answer)": how the question above is to be answered. */
    private static final Pattern TYPE_ONLY =
            Vocabulary.pattern("[(\\[]\\s*" + Vocabulary.ALL.either("type_head") + "\\s*[)\\]]");

    /** A line of fields that stands but once may be part of anything. */
    private static final int AGAIN = 2;

    private LabelLines() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            if (TYPE_ONLY.matcher(all.get(i).text()).matches()) {
                int end = all.get(i).piece().segment().to();
                all.set(i, all.get(i).withLead(new Cues.Lead(Cues.Announces.LABEL, end)));
            }
        }
        Map<String, Integer> seen = new HashMap<>();
        all.forEach(cues -> name(cues).ifPresent(name -> seen.merge(name, 1, Integer::sum)));
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (name(cues).filter(name -> seen.get(name) >= AGAIN).isPresent()) {
                int end = cues.piece().segment().to();
                all.set(i, cues.withLead(new Cues.Lead(Cues.Announces.LABEL, end)));
            }
        }
    }

    private static Optional<String> name(Cues cues) {
        if (cues.lead().isPresent()
                || cues.is(Cues.Trait.FILL_IN)
                || !cues.labels().isEmpty()) {
            return Optional.empty();
        }
        Matcher matcher = FIELDS.matcher(cues.text());
        return matcher.matches() ? Optional.of(matcher.group(1).toLowerCase(Locale.ROOT)) : Optional.empty();
    }
}
