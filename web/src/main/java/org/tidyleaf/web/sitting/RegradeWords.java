package org.tidyleaf.web.sitting;

import java.util.ArrayList;
import java.util.List;

/** Whose total a regrading changed, in words that are kept. */
final class RegradeWords {

    private RegradeWords() {}

    static String of(ResultTable before, ResultTable after) {
        List<String> changed = new ArrayList<>();
        for (int i = 0; i < after.rows().size() && i < before.rows().size(); i++) {
            String was = before.rows().get(i).total();
            String is = after.rows().get(i).total();
            if (!was.equals(is)) {
                changed.add(after.rows().get(i).candidate() + " " + was + " \u2192 " + is);
            }
        }
        return changed.isEmpty() ? "No total changed." : "Totals: " + String.join(", ", changed) + ".";
    }
}
