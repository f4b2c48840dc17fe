package org.tidyleaf.reading.line;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/** What stands above a list of answers. */
public final class KeyHeadings {

    private static final Pattern HEADING =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("list") + "\\W*(?:\\([^)]*\\)\\W*)?");

    /** "Question    Answer" over "1    b": the heads of two columns that no table keeps. */
    private static final Pattern HEADS = Vocabulary.pattern(
            "[\\p{L}#.]{1,12}(?:\\t|\\s{2,})\\s*" + Vocabulary.ALL.either("list", "answer") + "\\W*");

    /** In signs: a longer line says something else. */
    public static final int LONGEST = 90;

    private KeyHeadings() {}

    /** Whether a text is "Answer key" and nothing else. */
    public static boolean names(String text) {
        return HEADING.matcher(text).matches();
    }

    /** Whether a line is such a head. */
    public static boolean isHeading(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        return cues.text().length() < LONGEST
                && cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !WrappedWords.isRestOfSentence(all, piece)
                && (names(cues.text()) || HEADS.matcher(cues.text()).matches());
    }
}
