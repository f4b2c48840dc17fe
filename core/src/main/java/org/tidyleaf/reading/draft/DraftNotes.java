package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.question.NumberRange;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cut.LabelsInStrokes;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;

/** What the author notes of a question, above or below it; candidates never see it. One per reading. */
final class DraftNotes {

    private static final Pattern IDENTIFIER =
            Vocabulary.pattern(Vocabulary.ALL.either("identifier") + "\\s*[:#]\\s*(\\S{1,20})");

    private final boolean above;
    private final List<String> ofNext = new ArrayList<>();
    private Optional<BigDecimal> pointsOfNext = Optional.empty();

    DraftNotes(List<Assigned> roles) {
        this.above = areAbove(roles);
    }

    /** Where a note stands above the first question and none below the last, the author's notes stand above theirs. */
    private static boolean areAbove(List<Assigned> roles) {
        int firstStem = -1;
        int lastStem = -1;
        int firstLabel = -1;
        int lastLabel = -1;
        for (int i = 0; i < roles.size(); i++) {
            if (roles.get(i).step().role() == Role.STEM) {
                firstStem = firstStem < 0 ? i : firstStem;
                lastStem = i;
            } else if (roles.get(i).cues().announces(Cues.Announces.LABEL)) {
                firstLabel = firstLabel < 0 ? i : firstLabel;
                lastLabel = i;
            }
        }
        return lastLabel < lastStem && firstLabel < firstStem;
    }

    /**
     * Takes a note; of some it is known what they mean.
     *
     * @param open the question above it, if one is
     * @param stemFollows whether a question begins below it
     */
    void take(Cues cues, Optional<Draft> open, boolean stemFollows) {
        Optional<BigDecimal> points = PointsFinder.labelled(cues.text())
                .or(() -> PointsFinder.only(cues.text()))
                .or(() -> inPart(cues.text()));
        String said = cues.text().strip();
        if (above && stemFollows) {
            pointsOfNext = points;
            if (points.isEmpty()) {
                ofNext.add(said);
            }
        } else if (points.isPresent()) {
            open.ifPresent(draft -> draft.points = points);
            if (LabelsInStrokes.isLine(said)) {
                open.ifPresent(draft -> draft.labels.add(said));
            }
        } else {
            open.ifPresent(draft -> draft.labels.add(said));
        }
    }

    /** "Tags: health; year 1  |  2 marks". */
    private static Optional<BigDecimal> inPart(String text) {
        boolean parted = LabelsInStrokes.isLine(text);
        return (parted
                        ? LabelsInStrokes.parts(text).stream()
                        : Stream.of(text.split("\\s*[|;]\\s*|\\t+")).skip(1))
                .flatMap(part -> PointsFinder.only(part.strip()).stream())
                .findFirst();
    }

    /** Whether they stand above the questions they are said of. */
    boolean standAbove() {
        return above;
    }

    void takeForNext(String note) {
        ofNext.add(note);
    }

    /** "Question ID: KB-014" above a question that has no number of its own. */
    Optional<String> identifier() {
        for (String note : ofNext) {
            Matcher matcher = IDENTIFIER.matcher(note);
            if (matcher.matches()) {
                ofNext.remove(note);
                return Optional.of(matcher.group(1));
            }
        }
        return Optional.empty();
    }

    /** Gives the question that begins what was noted above it. */
    void giveTo(Draft draft, Optional<BigDecimal> pointsEach) {
        int questions = NumberRange.of(draft.number).size();
        draft.points = pointsOfNext.or(() -> pointsEach.map(each -> each.multiply(BigDecimal.valueOf(questions))));
        draft.pointsPerPair = draft.number.isEmpty() && pointsOfNext.isEmpty() && pointsEach.isPresent();
        draft.labels.addAll(ofNext);
        pointsOfNext = Optional.empty();
        ofNext.clear();
    }
}
