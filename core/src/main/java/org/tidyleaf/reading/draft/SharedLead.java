package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Span;

/** What stands above the parts of a question, words and pictures: all of its parts need it. */
final class SharedLead {

    private SharedLead() {}

    /**
     * The places of it in their order, the stem's without what was trimmed off.
     *
     * @param place of the question among all, 1-based, as in {@code owners}
     * @param end the piece that its parts begin with
     */
    static List<Segment> of(Draft whole, int place, List<Assigned> roles, int[] owners, int end) {
        List<Segment> lead = new ArrayList<>(whole.stem);
        figures(place, roles, owners, end)
                .forEach(piece -> lead.add(roles.get(piece).cues().piece().segment()));
        lead.sort(Comparator.comparingInt(Segment::line).thenComparingInt(Segment::from));
        return lead;
    }

    /** The ids of the pictures among it. */
    static Set<String> figureIds(int place, List<Assigned> roles, int[] owners, int end) {
        Set<String> ids = new HashSet<>();
        for (int piece : figures(place, roles, owners, end)) {
            ids.addAll(figureIds(roles.get(piece).cues()));
        }
        return ids;
    }

    static Set<String> figureIds(Cues cues) {
        Set<String> ids = new HashSet<>();
        for (Span span : cues.line().spans()) {
            ids.add(span.figure());
        }
        return ids;
    }

    /** What was taken for a question and its pictures becomes a passage. */
    static void asPassage(int place, List<Assigned> roles, int[] owners, int end) {
        boolean begun = false;
        for (int i = 0; i < end; i++) {
            Assigned piece = roles.get(i);
            Role role = piece.step().role();
            if (owners[i] == place && (role == Role.STEM || role == Role.FIGURE)) {
                Step step = new Step(Role.STIMULUS, begun, piece.step().option());
                roles.set(i, new Assigned(piece.cues(), step, piece.doubt()));
                begun = true;
            }
        }
    }

    private static List<Integer> figures(int place, List<Assigned> roles, int[] owners, int end) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < end; i++) {
            if (owners[i] == place && roles.get(i).step().role() == Role.FIGURE) {
                found.add(i);
            }
        }
        return found;
    }
}
