package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "OR" on a line of its own, and below it another question without a number, to be answered instead of the one above; "EITHER"
 * and "OR" before parts with letters of their own only say that one of them will do.
 */
public final class OrLines {

    private static final Pattern OR =
            Vocabulary.pattern("[(\\[\u2013\u2014*-]*\\s*" + Vocabulary.ALL.either("or") + "\\s*[)\\]\u2013\u2014*-]*");

    private static final Pattern EITHER = Vocabulary.pattern(Vocabulary.ALL.either("either") + "\\s*:?");

    /** "10. EITHER describe …". */
    private static final Pattern EITHER_FIRST =
            Vocabulary.pattern("(?:\\W{0,2}\\w{1,4}[.):]?\\s+)?" + Vocabulary.ALL.either("either") + "\\b");

    /** Longer words of any language. */
    private static final int LONGEST = 12;

    private OrLines() {}

    static void mark(List<Cues> all) {
        for (int i = 1; i + 1 < all.size(); i++) {
            Cues cues = all.get(i);
            boolean alone = !cues.text().isEmpty()
                    && cues.text().length() < LONGEST
                    && cues.labels().isEmpty()
                    && (isUpper(cues.text())
                            || cues.is(Trait.BOLD)
                            || cues.is(Trait.CENTERED)
                            || !Character.isLetter(cues.text().charAt(0)))
                    && OR.matcher(cues.text()).matches();
            Cues below = all.get(i + 1);
            boolean instead = below.labels().isEmpty()
                    && below.lead().isEmpty()
                    && !below.is(Trait.SECTION_WORD)
                    && !below.is(Trait.HEADING);
            if (alone && instead) {
                cues.traits().add(Trait.OR_LINE);
            } else if (alone && (below.has(Label.Kind.LETTER) || below.has(Label.Kind.NUMBER))
                    || isEither(cues.text()) && below.has(Label.Kind.LETTER)) {
                cues.traits().add(Trait.ONE_WILL_DO);
            }
        }
    }

    /** "or" alone, or "OR Explain …" below "EITHER describe …": half of what is asked, and no option. */
    public static boolean isSecondHalf(Cues above, Cues cues) {
        Matcher or = OR.matcher(cues.text());
        // "o metro" begins with the article of one language and the "or" of another.
        boolean loud =
                or.lookingAt() && isUpper(or.group()) && or.group().strip().length() > 1;
        return cues.labels().isEmpty()
                && cues.text().length() > 1
                && (or.matches() || loud && EITHER_FIRST.matcher(above.text()).lookingAt());
    }

    /** "EITHER" and nothing else. */
    public static boolean isEither(String text) {
        return text.length() < LONGEST && EITHER.matcher(text.strip()).matches();
    }

    /** "OR" and nothing else, as it stands behind the number of the second of two questions. */
    public static boolean isLoudOr(String text) {
        return text.length() < LONGEST
                && isUpper(text)
                && OR.matcher(text.strip()).matches();
    }

    private static boolean isUpper(String text) {
        return text.chars().anyMatch(Character::isLetter) && text.chars().noneMatch(Character::isLowerCase);
    }
}
