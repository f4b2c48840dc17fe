package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.reading.Survey;
import org.tidyleaf.source.Source;

/**
 * The straight line from a source to the quiz: reads it with the pins in force and lays the edits over it, in order. The
 * same source with the same decisions gives the same quiz. An edit of a question that later pins made disappear rests
 * until the question is there again.
 */
public final class Tidying {

    private static final String MISSING_KEY = "missing-key";

    /** What the reader says of keys; whether it still holds is seen in the quiz. */
    private static final Set<String> OF_KEYS = Set.of(MISSING_KEY, "answer-outside", "gap-without-answer");

    private Tidying() {}

    public static Tidied apply(Source source, Decisions decisions) {
        return apply(source, decisions, Optional.empty());
    }

    /**
     * The same, faster where only the edits differ.
     *
     * @param before what the same source gave with other decisions
     */
    public static Tidied apply(Source source, Decisions decisions, Optional<Tidied> before) {
        Pins pins = decisions.pins();
        Reader reader = new Reader();
        Survey survey = reader.survey(before.map(Tidied::survey).orElseGet(() -> reader.survey(source)), pins);
        Reading reading = before.filter(earlier -> earlier.pins().equals(pins))
                .map(Tidied::reading)
                .orElseGet(() -> reader.read(survey, pins));
        Quiz quiz = reading.quiz();
        for (Decision decision : decisions.inForce()) {
            quiz = Editing.apply(quiz, decision);
        }
        return new Tidied(survey, reading, pins, quiz, snags(reading, quiz, decisions));
    }

    private static List<Tidied.OpenSnag> snags(Reading reading, Quiz quiz, Decisions decisions) {
        Map<String, Question> present = new HashMap<>();
        quiz.questions().forEach(question -> present.put(question.id(), question));
        Map<String, Integer> lines = new HashMap<>();
        reading.questions()
                .forEach(read ->
                        lines.put(read.question().id(), read.stem().get(0).line()));
        List<Tidied.OpenSnag> open = new ArrayList<>();
        for (Snag snag : reading.snags()) {
            String id = snag.question() == 0
                    ? ""
                    : reading.questions().get(snag.question() - 1).question().id();
            boolean gone = !id.isEmpty() && !present.containsKey(id);
            boolean mended = !id.isEmpty() && !gone && !Repairs.holds(snag, present.get(id));
            mended |= snag.kind().equals("points-total") && Repairs.totalFits(reading, quiz, snag);
            if (!gone && !mended && !OF_KEYS.contains(snag.kind()) && !isSettled(snag, id, decisions)) {
                open.add(new Tidied.OpenSnag(
                        snag.kind(), id, snag.line(), snag.message(), false, Repairs.of(reading, quiz, snag, id)));
            }
        }
        for (Question question : quiz.questions()) {
            // One made by hand stands at the source's beginning.
            int line = lines.getOrDefault(question.id(), 1);
            blocker(reading, question, line).ifPresent(open::add);
            Repairs.paperWording(question, line)
                    .filter(snag -> !isDismissed(snag.kind(), snag.line(), decisions))
                    .ifPresent(open::add);
        }
        for (int i = 0; i < quiz.sections().size(); i++) {
            Repairs.paperInstructions(reading, quiz, i)
                    .filter(snag -> !isDismissed(snag.kind(), snag.line(), decisions))
                    .ifPresent(open::add);
        }
        open.sort(Comparator.comparingInt(Tidied.OpenSnag::line));
        return open;
    }

    private static Optional<Tidied.OpenSnag> blocker(Reading reading, Question question, int line) {
        if (question.isKeyed()) {
            return Optional.empty();
        }
        Optional<Snag> said = reading.snags().stream()
                .filter(snag -> OF_KEYS.contains(snag.kind()) && !snag.kind().equals(MISSING_KEY))
                .filter(snag -> snag.question() > 0
                        && reading.questions()
                                .get(snag.question() - 1)
                                .question()
                                .id()
                                .equals(question.id()))
                .findFirst();
        if (said.isPresent()) {
            return Optional.of(new Tidied.OpenSnag(
                    said.get().kind(), question.id(), line, said.get().message(), true, List.of()));
        }
        String message = question instanceof ChoiceQuestion
                ? "No right answer found for this one. Press the leaf beside it."
                : "No right answer found for this one. Type it here.";
        return Optional.of(new Tidied.OpenSnag(MISSING_KEY, question.id(), line, message, true, List.of()));
    }

    private static boolean isDismissed(String kind, int line, Decisions decisions) {
        return decisions.inForce().stream()
                .anyMatch(decision -> decision instanceof Decision.Dismiss dismissed
                        && dismissed.snag().equals(kind)
                        && dismissed.line() == line);
    }

    private static boolean isSettled(Snag snag, String id, Decisions decisions) {
        return decisions.inForce().stream().anyMatch(decision -> {
            if (decision instanceof Decision.Dismiss dismissed) {
                return dismissed.snag().equals(snag.kind()) && dismissed.line() == snag.line();
            }
            return decision instanceof Decision.SetKey key
                    && snag.kind().equals("keys-disagree")
                    && key.question().equals(id);
        });
    }
}
