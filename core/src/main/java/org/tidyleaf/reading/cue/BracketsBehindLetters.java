package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Segment;

/** "a) (   ) the queen" over "b) ( x ) the drone": brackets to tick behind the letters of options. */
final class BracketsBehindLetters {

    private static final Pattern BRACKET = Pattern.compile(
            "\\s*(?:\\(\\s{1,6}\\)|\\[\\s{1,6}]|[(\\[]\\s{0,3}([xX\u2713\u2714])\\s{0,3}[)\\]])\\s*(?=\\S)");

    private static final int FEWEST = 2;

    private BracketsBehindLetters() {}

    /** Makes the brackets signs: those of the right options where they are filled. */
    static void mark(List<Cues> all) {
        Runs.find(all, BracketsBehindLetters::hasBracket, FEWEST)
                .forEach(run -> run.in(all).replaceAll(BracketsBehindLetters::signed));
    }

    private static boolean hasBracket(Cues cues) {
        return cues.sign().isEmpty()
                && cues.lead().isEmpty()
                && letterEnd(cues) > 0
                && bracket(cues).lookingAt();
    }

    /** Where the letter ends; 0 where the piece has none. */
    private static int letterEnd(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER)
                .mapToInt(Label::end)
                .findFirst()
                .orElse(0);
    }

    private static Matcher bracket(Cues cues) {
        Segment segment = cues.piece().segment();
        return BRACKET.matcher(cues.line().text()).region(Math.min(letterEnd(cues), segment.to()), segment.to());
    }

    private static Cues signed(Cues cues) {
        Matcher bracket = bracket(cues);
        if (!bracket.lookingAt()) {
            return cues;
        }
        boolean right = bracket.group(1) != null;
        cues.traits().remove(Cues.Trait.GAP);
        return cues.withSign(new Cues.Sign(letterEnd(cues), bracket.end(), right))
                .withLabels(cues.labels());
    }
}
