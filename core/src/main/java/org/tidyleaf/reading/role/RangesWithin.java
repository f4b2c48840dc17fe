package org.tidyleaf.reading.role;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.TraitFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Questions 4–6: Are the statements true or false?" below the passage for questions 1 to 9: what is to be done with some of its
 * questions heads these, and is no passage of its own.
 */
public final class RangesWithin {

    /** "Questions 4–6:" and what is to be done. */
    static final Pattern NAMED =
            Vocabulary.pattern(Vocabulary.ALL.either("question") + "s?\\.?\\s+(\\d{1,3})\\s?(?:[-\u2013]|"
                    + Vocabulary.ALL.either("to", "and") + ")\\s?(\\d{1,3})\\s*[:.)\u2013\u2014-](?=\\s*\\p{L})");

    private RangesWithin() {}

    /** Their places. */
    static Set<Integer> find(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        int first = 0;
        int last = -1;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.is(Trait.RANGE)) {
                continue;
            }
            Matcher named = NAMED.matcher(cues.text());
            Matcher range = TraitFinder.RANGE.matcher(cues.text());
            boolean within = named.lookingAt()
                    && number(named.group(1)) >= first
                    && number(named.group(2)) <= last
                    && number(named.group(2)) - number(named.group(1)) < last - first;
            if (within) {
                found.add(i);
            } else if (cues.is(Trait.PASSAGE_WORD) && range.matches()) {
                first = number(range.group(1));
                last = number(range.group(2));
            }
        }
        return found;
    }

    /** Where in the line what is to be done begins; empty where it names no range first. */
    public static Optional<Integer> told(Cues cues) {
        Matcher named = NAMED.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
        return named.lookingAt() ? Optional.of(named.end()) : Optional.empty();
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }
}
