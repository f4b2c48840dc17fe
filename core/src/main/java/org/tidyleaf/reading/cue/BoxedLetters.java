package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "☐ A  wax", "☐ B  silk": boxes to cross with bare letters behind them. What counts on from A over several boxes letters the options;
 * "☐ A smoker" alone is a word.
 */
final class BoxedLetters {

    private static final Pattern LETTER = Pattern.compile("\\s*([A-Ha-h])(?:\\s+(?=\\S)|$)");
    private static final int FEWEST = 3;

    private BoxedLetters() {}

    static void label(List<Cues> all) {
        for (Runs.Run run : Runs.counting(all, BoxedLetters::isNext, FEWEST)) {
            for (int i = run.from(); i < run.to(); i++) {
                letter(all, i, i - run.from());
            }
        }
    }

    private static boolean isNext(Cues cues, int above) {
        Matcher letter = behindBox(cues);
        return letter.lookingAt()
                && Character.toLowerCase(letter.group(1).charAt(0)) == 'a' + above
                && !cues.is(Trait.OFF_BODY);
    }

    /** Where no box begins the piece, nothing is left to match. */
    private static Matcher behindBox(Cues cues) {
        int end = cues.piece().segment().to();
        return LETTER.matcher(cues.line().text()).region(boxEnd(cues).orElse(end), end);
    }

    /** A crossed box is a sign that the option is right, not a label. */
    private static Optional<Integer> boxEnd(Cues cues) {
        if (cues.labels().isEmpty()) {
            return cues.sign()
                    .filter(sign -> cues.line()
                            .text()
                            .substring(cues.piece().segment().from(), sign.from())
                            .isBlank())
                    .map(Cues.Sign::to);
        }
        boolean boxed = cues.labels().size() == 1 && cues.has(Label.Kind.BOX);
        return boxed ? Optional.of(cues.labels().get(0).end()) : Optional.empty();
    }

    private static void letter(List<Cues> all, int place, int ordinal) {
        Cues cues = all.get(place);
        Matcher letter = behindBox(cues);
        if (letter.lookingAt()) {
            String printed = letter.group(1);
            String shape = Character.isUpperCase(printed.charAt(0)) ? "A)" : "a)";
            int from = cues.piece().segment().from();
            Label label = new Label(Label.Kind.LETTER, ordinal + 1, printed, shape, from, letter.end());
            boolean ticked = cues.labels().stream().anyMatch(Label::isTicked);
            Cues signed = ticked ? cues.withSign(new Cues.Sign(from, letter.start(1), true)) : cues;
            all.set(place, signed.withLabels(List.of(label)));
        }
    }
}
