package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Segment;

/**
 * "3 Read the text and choose the best word." above a text with the gaps "(1) ____" and "(2) ____", and below that "1 A has B have"
 * and "2 A used B use": the number counts exercises, and what it stands before is told for all gaps.
 */
public final class ClozeExercises {

    private static final int FEWEST_GAPS = 2;

    /** In pieces. */
    private static final int LONGEST_TEXT = 12;

    private static final Pattern NUMBERED = Pattern.compile("\\s*\\d{1,2}[.):]?\\s+");

    private ClozeExercises() {}

    /** Takes the number from such directions, which then begin the text. */
    static void unlabel(List<Cues> all) {
        if (all.stream().noneMatch(cues -> cues.is(Trait.CLOZE))) {
            return;
        }
        for (int i = 0; i + 2 < all.size(); i++) {
            Cues cues = all.get(i);
            boolean possible = cues.number()
                            .filter(label -> !Label.isWorded(label.shape()))
                            .filter(label -> ExerciseHeads.directs(cues.line()
                                    .text()
                                    .substring(
                                            label.end(), cues.piece().segment().to())))
                            .isPresent()
                    && cues.line().layout().cell().isEmpty()
                    && !cues.is(Trait.GAP)
                    && !cues.is(Trait.OFF_BODY);
            if (possible && isOverGapsAndChoices(all, i)) {
                all.set(i, cues.withLabels(List.of()));
                cues.traits().add(Trait.PASSAGE_HEAD);
            }
        }
    }

    /** Such directions without the number of their exercise; any other line as it is. */
    public static Segment withoutNumber(Cues cues) {
        Segment whole = cues.piece().segment();
        Matcher numbered = NUMBERED.matcher(cues.line().text()).region(whole.from(), whole.to());
        boolean directions = cues.is(Trait.PASSAGE_HEAD)
                && numbered.lookingAt()
                && ExerciseHeads.directs(cues.line().text().substring(numbered.end(), whole.to()));
        return directions ? new Segment(whole.line(), numbered.end(), whole.to()) : whole;
    }

    private static boolean isOverGapsAndChoices(List<Cues> all, int head) {
        List<Integer> gaps = new ArrayList<>();
        int at = head + 1;
        while (at < all.size()
                && at - head <= LONGEST_TEXT
                && number(all.get(at)).isEmpty()
                && all.get(at).labels().isEmpty()
                && !all.get(at).is(Trait.HEADING)
                && !all.get(at).is(Trait.SECTION_WORD)) {
            gaps.addAll(GappedTexts.numbers(all.get(at)));
            at++;
        }
        boolean count = gaps.size() >= FEWEST_GAPS;
        for (int i = 0; i < gaps.size(); i++) {
            count &= gaps.get(i) == i + 1;
        }
        for (int i = 0; count && i < gaps.size(); i++) {
            boolean chosen = at + 2 < all.size()
                    && number(all.get(at)).equals(Optional.of(i + 1))
                    && isOption(all.get(at + 1), 1)
                    && isOption(all.get(at + 2), 2);
            if (!chosen) {
                return false;
            }
            at++;
            while (at < all.size()
                    && number(all.get(at)).isEmpty()
                    && all.get(at).has(Label.Kind.LETTER)) {
                at++;
            }
        }
        return count;
    }

    /** Of a label, or of a cell with nothing else in it. */
    private static Optional<Integer> number(Cues cues) {
        String text = cues.text().strip();
        boolean cell = cues.line().layout().cell().isPresent() && text.matches("\\d{1,2}[.)]?");
        return cell
                ? Optional.of(Integer.parseInt(text.replaceAll("\\D", "")))
                : cues.number().map(Label::ordinal);
    }

    private static boolean isOption(Cues cues, int ordinal) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == ordinal);
    }
}
