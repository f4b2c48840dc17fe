package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Snag;
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
        Reading reading = new Reader().read(source, decisions.pins());
        Quiz quiz = reading.quiz();
        for (Decision decision : decisions.inForce()) {
            quiz = Editing.apply(quiz, decision);
        }
        return new Tidied(reading, quiz, snags(reading, quiz, decisions));
    }

    private static List<Tidied.OpenSnag> snags(Reading reading, Quiz quiz, Decisions decisions) {
        Set<String> present = new HashSet<>();
        quiz.questions().forEach(question -> present.add(question.id()));
        List<Tidied.OpenSnag> open = new ArrayList<>();
        for (Snag snag : reading.snags()) {
            String id = snag.question() == 0
                    ? ""
                    : reading.questions().get(snag.question() - 1).question().id();
            boolean gone = !id.isEmpty() && !present.contains(id);
            if (!gone && !OF_KEYS.contains(snag.kind()) && !isSettled(snag, id, decisions)) {
                open.add(new Tidied.OpenSnag(snag.kind(), id, snag.line(), snag.message(), false));
            }
        }
        for (Question question : quiz.questions()) {
            blocker(reading, question).ifPresent(open::add);
        }
        open.sort(Comparator.comparingInt(Tidied.OpenSnag::line));
        return open;
    }

    private static Optional<Tidied.OpenSnag> blocker(Reading reading, Question question) {
        int line = reading.questions().stream()
                .filter(read -> read.question().id().equals(question.id()))
                .map(ReadQuestion::stem)
                .map(stem -> stem.get(0).line())
                .findFirst()
                .orElse(1);
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
                    said.get().kind(), question.id(), line, said.get().message(), true));
        }
        String message = question instanceof ChoiceQuestion
                ? "No right answer found for this one. Press the leaf beside it."
                : "No right answer found for this one. Type it here.";
        return Optional.of(new Tidied.OpenSnag(MISSING_KEY, question.id(), line, message, true));
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
