package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;

/** "Quiz 1", "Quiz 2", "Quiz 3" as headings of one level: several small tests, of which the first is no title of the whole. */
final class SeriesHeads {

    private static final Pattern COUNTED =
            Pattern.compile("(\\p{L}[\\p{L} .-]{0,30}?)\\s*(\\d{1,2})(?:\\s*[.:\u2013-].*)?");

    private SeriesHeads() {}

    /** Their places, where at least two count on from 1. */
    static Set<Integer> find(List<Cues> all) {
        Map<String, List<Integer>> series = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Matcher counted = COUNTED.matcher(cues.text());
            if (cues.is(Trait.HEADING) && counted.matches()) {
                String name =
                        cues.line().layout().style() + " " + counted.group(1).toLowerCase(Locale.ROOT);
                List<Integer> members = series.computeIfAbsent(name, key -> new ArrayList<>());
                if (Integer.parseInt(counted.group(2)) == members.size() + 1) {
                    members.add(i);
                }
            }
        }
        Set<Integer> found = new HashSet<>();
        series.values().stream().filter(members -> members.size() > 1).forEach(found::addAll);
        return found;
    }
}
