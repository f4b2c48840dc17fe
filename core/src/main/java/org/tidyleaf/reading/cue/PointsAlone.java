package org.tidyleaf.reading.cue;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * Points on a line of their own that only their place tells: "- 2 points" and "(___/2)" below a question that filled its line, but
 * "(16)" between the questions 15 and 17, right above options, is a number.
 */
final class PointsAlone {

    private static final Pattern BRACKETED = Pattern.compile("[(\\[]\\d{1,3}[)\\]]");

    private static final Pattern SCORE_BEHIND = Pattern.compile("(?s).*\\S\\s{2,}_{2,}\\s?/\\s?\\d{1,3}");

    private PointsAlone() {}

    static void mark(List<Cues> all) {
        long scores = all.stream()
                .filter(cues -> PointsFinder.isScore(cues.text())
                        || SCORE_BEHIND.matcher(cues.text()).matches())
                .count();
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean dashed = cues.has(Label.Kind.BULLET);
            boolean lone = !isBullet(all, i - 1) && !isBullet(all, i + 1);
            boolean scored = cues.text().startsWith("(")
                    || cues.text().startsWith("[")
                    || cues.text().startsWith("/") && all.get(i - 1).has(Label.Kind.NUMBER);
            // "___ / 6" below each exercise; a single one may be a fraction to complete.
            scored |= scores > 1 && PointsFinder.isScore(cues.text());
            if ((dashed && lone || scored)
                    && !cues.is(Trait.POINTS_ONLY)
                    && PointsFinder.only(cues.text()).isPresent()) {
                cues.traits().add(Trait.POINTS_ONLY);
                all.set(i, cues.withLabels(List.of()));
            }
        }
        unmarkNumbers(all);
    }

    private static boolean isBullet(List<Cues> all, int piece) {
        return piece < all.size() && all.get(piece).has(Label.Kind.BULLET);
    }

    /** Numbers in brackets number questions where others do so too, and nothing else has the number that would be next. */
    private static void unmarkNumbers(List<Cues> all) {
        Map<String, Set<Integer>> worded = new TreeMap<>();
        for (Cues cues : all) {
            if (!cues.is(Trait.POINTS_ONLY)) {
                cues.labels().stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER)
                        .forEach(label -> worded.computeIfAbsent(label.shape(), shape -> new HashSet<>())
                                .add(label.ordinal()));
            }
        }
        for (int i = 0; i + 1 < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.is(Trait.POINTS_ONLY)
                    || !BRACKETED.matcher(cues.text()).matches()
                    || !isFirstOption(all, i + 1)) {
                continue;
            }
            for (Label label : cues.labels()) {
                Set<Integer> others = worded.getOrDefault(label.shape(), Set.of());
                boolean next = others.contains(label.ordinal() - 1) || others.contains(label.ordinal() + 1);
                if (next && !others.contains(label.ordinal())) {
                    cues.traits().remove(Trait.POINTS_ONLY);
                    others.add(label.ordinal());
                }
            }
        }
    }

    private static boolean isFirstOption(List<Cues> all, int piece) {
        return all.get(piece).labels().stream()
                .anyMatch(label -> label.kind() != Label.Kind.NUMBER && label.ordinal() <= 1);
    }
}
