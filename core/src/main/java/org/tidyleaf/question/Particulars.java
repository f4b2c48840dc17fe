package org.tidyleaf.question;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What every question has, whatever its type.
 *
 * @param id stable over readings: named after the place of its stem in the source
 * @param number the printed number without its punctuation, or empty
 * @param stem what is asked, with its gaps and pictures
 * @param points exact; empty where nobody has said
 * @param section index into the quiz's sections, or -1
 * @param stimulus index into the quiz's stimuli, or -1
 * @param feedback shown after marking, may be empty
 * @param hint may be empty
 * @param settings how it is filed and given
 */
public record Particulars(
        String id,
        String number,
        Prose stem,
        Optional<BigDecimal> points,
        int section,
        int stimulus,
        Prose feedback,
        Prose hint,
        Settings settings) {

    public Particulars {
        // What was stored before there were settings has none.
        settings = settings == null ? Settings.NONE : settings;
    }

    public Particulars(
            String id,
            String number,
            Prose stem,
            Optional<BigDecimal> points,
            int section,
            int stimulus,
            Prose feedback,
            Prose hint) {
        this(id, number, stem, points, section, stimulus, feedback, hint, Settings.NONE);
    }

    public Particulars withStem(Prose other) {
        return new Particulars(id, number, other, points, section, stimulus, feedback, hint, settings);
    }

    public Particulars withNumber(String other) {
        return new Particulars(id, other, stem, points, section, stimulus, feedback, hint, settings);
    }

    public Particulars withId(String other) {
        return new Particulars(other, number, stem, points, section, stimulus, feedback, hint, settings);
    }

    /** The same in another section and passage. */
    public Particulars placed(int otherSection, int otherStimulus) {
        return new Particulars(id, number, stem, points, otherSection, otherStimulus, feedback, hint, settings);
    }

    public Particulars withPoints(Optional<BigDecimal> other) {
        return new Particulars(id, number, stem, other, section, stimulus, feedback, hint, settings);
    }

    public Particulars withSettings(Settings other) {
        return new Particulars(id, number, stem, points, section, stimulus, feedback, hint, other);
    }
}
