package org.tidyleaf.reading.block;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.tidyleaf.reading.cue.JudgedLines;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;

/**
 * "Tick the right box." without a number, and below it "Bees sleep.   True ☐   False ☐", "Wax melts.   True ☐   False ☐": in a
 * test whose other questions are numbered each such line is a question all the same.
 */
final class JudgedBehind {

    private static final int FEWEST = 2;

    private JudgedBehind() {}

    /** The pieces that begin such questions. */
    static Set<Integer> find(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        if (all.stream().allMatch(cues -> cues.number().isEmpty())) {
            return found;
        }
        for (Runs.Run run : Runs.find(all, JudgedBehind::isStatement, FEWEST)) {
            if (run.from() > 0 && directs(all.get(run.from() - 1))) {
                IntStream.range(run.from(), run.to()).forEach(found::add);
            }
        }
        return found;
    }

    private static boolean isStatement(Cues cues) {
        return JudgedLines.isBehind(cues) && !cues.is(Trait.OFF_BODY);
    }

    private static boolean directs(Cues cues) {
        return cues.number().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && (cues.is(Trait.INSTRUCTION_WORD) || cues.is(Trait.SECTION_WORD) || cues.looksLikeHeading());
    }
}
