package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.cut.PairKeys;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;

/** The points that pieces of their own say of a question. */
final class DraftPoints {

    private DraftPoints() {}

    /** What stands below a question that has its points already is the sum of its group. */
    static void take(Draft draft, Cues cues) {
        Optional<BigDecimal> said = PointsFinder.only(cues.text()).or(() -> PointsFinder.bare(cues.text()));
        if (said.isPresent() && !draft.pointed) {
            draft.points = said;
            draft.pointed = true;
            draft.pointsPerPair = isOfFirstPair(draft);
        }
    }

    /** Whether a question says what each of its parts gets; they have it then. */
    static boolean shareByTerms(Draft whole, List<Draft> parts) {
        boolean fits = whole.pointsOfParts.size() == parts.size();
        for (int i = 0; fits && i < parts.size(); i++) {
            parts.get(i).points = Optional.of(whole.pointsOfParts.get(i));
        }
        return fits;
    }

    /** "................ [2]": at the end of the room to write stands what the answer is worth. */
    static void behindRule(Draft draft, Cues cues) {
        String behind = cues.text().replaceFirst("^.*[_.\u2026]{3}\\s*(?:[^\\s()\\[\\]]{1,6}\\s{2,})?", "");
        Optional<BigDecimal> points = PointsFinder.only(behind)
                .or(() -> behind.startsWith("(") ? PointsFinder.bare(behind) : Optional.empty());
        points.ifPresent(said -> draft.ruledPoints.put(cues.line().number(), said));
        if (draft.points.isEmpty() && draft.options.isEmpty()) {
            draft.points = points;
        }
    }

    /** "7. ANS: C   PTS: 1" below pairs, which goes on with 8. */
    private static boolean isOfFirstPair(Draft draft) {
        return !draft.pairs.isEmpty()
                && draft.keys.size() == 1
                && PairKeys.isWordedOne(draft.keys.get(0).text());
    }
}
