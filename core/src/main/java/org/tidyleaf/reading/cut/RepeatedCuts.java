package org.tidyleaf.reading.cut;

import java.util.HashMap;
import java.util.Map;
import java.util.function.ToIntFunction;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** Where lines of a document are cut before something that counts only where several of them have it. */
final class RepeatedCuts {

    private final Map<Integer, Integer> cuts = new HashMap<>();
    private final int fewest;

    /**
     * @param start where it begins in a line; 0 where the line has none
     * @param fewest so many lines have to have it
     */
    RepeatedCuts(Source source, ToIntFunction<Line> start, int fewest) {
        this.fewest = fewest;
        for (Line line : source.lines()) {
            int at = start.applyAsInt(line);
            if (at > 0) {
                cuts.put(line.number(), at);
            }
        }
    }

    /** Where the line is cut; 0 where it is not. */
    int cut(Line line) {
        return cuts.size() < fewest ? 0 : cuts.getOrDefault(line.number(), 0);
    }
}
