package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Questions 1 to 8 are based on the passage below." and then a heading over running text: the heading is the passage's own
 * title and begins no section.
 */
final class PassageTitles {

    /** A lead wraps over so many more lines at most. */
    private static final int MOST_WRAPPED = 2;

    private static final Pattern NAMED = Vocabulary.pattern(
            Vocabulary.ALL.either("passage_head") + "\\s+(?-i:[A-H])\\b(?!['\u2019]|\\s(?-i:\\p{Ll})).*");

    private static final int LONGEST_NAME = 140;

    private PassageTitles() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            if (isNamed(all.get(i)) && isRunning(all.get(i + 1))) {
                all.get(i).traits().add(Trait.PASSAGE_HEAD);
            }
        }
        for (int i = 0; i + 2 < all.size(); i++) {
            if (i > 0 && all.get(i).is(Trait.RANGE)) {
                unheadNotes(all, i);
            }
            if (!all.get(i).is(Trait.RANGE) || !all.get(i).is(Trait.PASSAGE_WORD)) {
                continue;
            }
            int end = i;
            while (end < i + MOST_WRAPPED && !all.get(end).is(Trait.ENDS_SENTENCE)) {
                end++;
            }
            if (end + 2 < all.size()
                    && all.get(end).is(Trait.ENDS_SENTENCE)
                    && isTitle(all.get(end + 1))
                    && isRunning(all.get(end + 2))) {
                all.get(end + 1).traits().add(Trait.PASSAGE_HEAD);
            }
        }
    }

    /**
     * "Part 2", "For questions 4–8, complete the notes.", "WORKSHOP VISIT" and the first of these questions: the capitals are the
     * title of what is to be completed and head no part.
     */
    private static void unheadNotes(List<Cues> all, int lead) {
        Matcher range = TraitFinder.RANGE.matcher(all.get(lead).text());
        Cues title = all.get(lead + 1);
        boolean titled = all.get(lead - 1).is(Trait.SECTION_WORD)
                && (isTitle(title)
                        || title.is(Trait.CAPITALS) && title.labels().isEmpty() && !title.is(Trait.SECTION_WORD))
                && range.matches()
                && all.get(lead + 2)
                        .number()
                        .filter(number -> number.printed().equals(range.group(1)))
                        .isPresent();
        if (titled) {
            title.traits().removeAll(Set.of(Trait.CAPITALS, Trait.HEADING, Trait.BOLD, Trait.CENTERED));
        }
    }

    /** "Source A From the diary of a merchant, 1784." */
    private static boolean isNamed(Cues cues) {
        return cues.text().length() < LONGEST_NAME
                && cues.labels().isEmpty()
                && !cues.is(Trait.QUESTION_MARK)
                && NAMED.matcher(cues.text()).matches();
    }

    private static boolean isTitle(Cues cues) {
        return (cues.is(Trait.HEADING) || cues.is(Trait.BOLD) || cues.is(Trait.CENTERED))
                && cues.is(Trait.SHORT)
                && cues.labels().isEmpty()
                && !cues.is(Trait.ENDS_SENTENCE)
                && !cues.is(Trait.RANGE)
                && !cues.is(Trait.SECTION_WORD);
    }

    private static boolean isRunning(Cues cues) {
        return (cues.text().length() > FullLines.LEAST || cues.is(Trait.FULL))
                && cues.labels().stream().noneMatch(label -> label.kind() == Label.Kind.NUMBER);
    }
}
