package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.source.Segment;

/**
 * "Start time: (1) ______", "Material: (2) ______ boards": notes to complete, a question a line, whose number stands before
 * the gap.
 */
public final class NumberedGaps {

    private static final Pattern GAP =
            Pattern.compile("[(\\[]?(\\d{1,3})[)\\].]?\\s*(?=(?:[\u00a3$\u20ac]\\s?)?(?:_{3,}|\\.{5,}|\u2026{2,}))");

    /** Fewer lines in a row may be a text with gaps. */
    private static final int FEWEST = 3;

    /** A longer line is part of a text. */
    private static final int LONGEST = 90;

    /** In lines, from a gap to the next of its text. */
    private static final int FARTHEST = 3;

    static final String SHAPE = "(9)_";

    private NumberedGaps() {}

    /** What the line says before and behind the number of its gap; empty where its label stands elsewhere. */
    public static List<Segment> around(Cues cues, Optional<Label> label) {
        if (label.filter(l -> l.shape().equals(SHAPE)).isEmpty()) {
            return List.of();
        }
        Segment whole = cues.piece().segment();
        Matcher gap = GAP.matcher(cues.line().text()).region(whole.from(), whole.to());
        return gap.find()
                ? List.of(
                        new Segment(whole.line(), whole.from(), gap.start()),
                        new Segment(whole.line(), gap.end(), whole.to()))
                : List.of();
    }

    /** The number before its gap becomes the label of its line. */
    static void label(List<Cues> all) {
        Set<Integer> numbered = new HashSet<>();
        all.forEach(cues -> cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .forEach(label -> numbered.add(label.ordinal())));
        List<Seen> run = new ArrayList<>();
        for (int i = 0; i <= all.size(); i++) {
            int expected = run.isEmpty() ? 0 : run.get(run.size() - 1).label().ordinal() + 1;
            Label label = i < all.size() ? gap(all.get(i)) : null;
            boolean next = label != null && (run.isEmpty() || label.ordinal() == expected);
            if (!next) {
                apply(all, run, numbered);
                run.clear();
            }
            if (label != null) {
                run.add(new Seen(i, label));
            }
        }
    }

    private static void apply(List<Cues> all, List<Seen> run, Set<Integer> numbered) {
        // Where questions have these numbers, the gaps stand for their answers.
        boolean taken =
                run.stream().anyMatch(seen -> numbered.contains(seen.label().ordinal()));
        if (run.size() >= FEWEST && !taken && begins(all, run.get(0))) {
            run.forEach(seen -> all.set(seen.piece(), all.get(seen.piece()).withLabels(List.of(seen.label()))));
        }
    }

    /** Else the gap before the first stands within a text, and all others with it. */
    private static boolean begins(List<Cues> all, Seen first) {
        int before = first.label().ordinal() - 1;
        for (int i = first.piece() - 1; i >= 0 && i >= first.piece() - FARTHEST; i--) {
            Cues cues = all.get(i);
            if (cues.is(Cues.Trait.HEADING) || cues.is(Cues.Trait.SECTION_WORD) || cues.is(Cues.Trait.RANGE)) {
                return true;
            }
            if (GappedTexts.numbers(cues).contains(before)) {
                return false;
            }
        }
        return true;
    }

    private static @Nullable Label gap(Cues cues) {
        if (!cues.labels().isEmpty() || !cues.is(Cues.Trait.GAP) || cues.text().length() > LONGEST) {
            return null;
        }
        Matcher gap = GAP.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
        if (!gap.find() || GapSigns.count(cues.text()) != 1) {
            return null;
        }
        int start = cues.piece().segment().from();
        int number = Integer.parseInt(gap.group(1));
        return new Label(Label.Kind.NUMBER, number, String.valueOf(number), SHAPE, gap.start(), start);
    }
}
