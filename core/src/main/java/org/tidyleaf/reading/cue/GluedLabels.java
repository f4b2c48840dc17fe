package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "A.90 °C" above "B.100 °C", "3.1 nautical mile = …" below "2.Which": without a blank behind them labels before figures look like
 * codes and decimals; what counts on tells what they are.
 */
final class GluedLabels {

    private static final Pattern LETTER = Pattern.compile("\\s*([A-H])\\.(?=\\S)|\\s*([a-h])\\.(?=\\S)");
    private static final Pattern NUMBER = Pattern.compile("\\s*(\\d{1,3})([.)])(?=\\d)");
    private static final int FEWEST = 2;

    private GluedLabels() {}

    static void label(List<Cues> all) {
        letters(all);
        numbers(all);
    }

    private static void letters(List<Cues> all) {
        for (Runs.Run run : Runs.counting(all, GluedLabels::isLetter, FEWEST)) {
            for (int i = run.from(); i < run.to(); i++) {
                if (!all.get(i).has(Label.Kind.LETTER)) {
                    letter(all, i, i - run.from());
                }
            }
        }
    }

    private static boolean isLetter(Cues cues, int above) {
        boolean labelled = cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == above + 1);
        Matcher glued = matcher(LETTER, cues);
        return labelled && above > 0
                || !cues.is(Trait.OFF_BODY)
                        && glued.lookingAt()
                        && Character.toLowerCase(printed(glued).charAt(0)) == 'a' + above;
    }

    private static String printed(Matcher glued) {
        return glued.group(1) == null ? glued.group(2) : glued.group(1);
    }

    private static void letter(List<Cues> all, int place, int above) {
        Matcher glued = matcher(LETTER, all.get(place));
        if (glued.lookingAt()) {
            String printed = printed(glued);
            String shape = Character.isUpperCase(printed.charAt(0)) ? "A." : "a.";
            Label label = new Label(Label.Kind.LETTER, above + 1, printed, shape, glued.start(), glued.end());
            all.set(place, all.get(place).withLabels(List.of(label)));
        }
    }

    /** Where other numbers have no blank behind them either, the next one may stand before a figure. */
    private static void numbers(List<Cues> all) {
        long glued = all.stream().filter(GluedLabels::isGlued).count();
        int last = 0;
        for (int i = 0; i < all.size() && glued >= FEWEST; i++) {
            Cues cues = all.get(i);
            Matcher number = matcher(NUMBER, cues);
            boolean next = cues.number().isEmpty()
                    && cues.piece().first()
                    && number.lookingAt()
                    && Integer.parseInt(number.group(1)) == last + 1;
            if (next) {
                String shape = "9" + number.group(2);
                all.set(
                        i,
                        cues.withLabels(List.of(new Label(
                                Label.Kind.NUMBER, last + 1, number.group(1), shape, number.start(), number.end()))));
            }
            last = all.get(i).number().map(Label::ordinal).orElse(last);
        }
    }

    private static boolean isGlued(Cues cues) {
        return cues.number()
                .filter(label -> !Label.isWorded(label.shape()))
                .filter(label -> label.end() > 0 && label.end() > cues.line().labelEnd())
                .filter(label -> !Character.isWhitespace(cues.line().text().charAt(label.end() - 1))
                        && label.end() < cues.piece().segment().to()
                        && Character.isLetter(cues.line().text().charAt(label.end())))
                .isPresent();
    }

    private static Matcher matcher(Pattern pattern, Cues cues) {
        return pattern.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }
}
