package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Replacing;
import org.tidyleaf.tidying.Spreading;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;

/** Corrections of many questions at once, each one decision, undone at once. */
@Service
class WholeTestService {
    private final LeafService leaves;
    private final ReviewService reviews;
    private final Intake intake;

    WholeTestService(LeafService leaves, ReviewService reviews, Intake intake) {
        this.leaves = leaves;
        this.reviews = reviews;
        this.intake = intake;
    }

    Reviewed spread(At at, BigDecimal total, BigDecimal step) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        List<Question> questions = open.tidied().quiz().questions();
        List<BigDecimal> shares = Spreading.shares(total, questions.size(), step);
        if (shares.isEmpty()) {
            return reviews.say(
                    at,
                    total.toPlainString() + " points can't be shared out among " + questions.size()
                            + " questions in these steps. Take half points, or more of them.");
        }
        return reviews.decide(at, Spreading.decision(questions, shares), total.toPlainString() + " points shared out.");
    }

    /** Reads the key file beside the test and sets what it says; what was edited by hand and agrees is left alone. */
    Reviewed keyFile(At at, String name, byte[] bytes) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        try {
            Source key = intake.read(name, bytes);
            Reading keyed = new Reader().read(open.source(), open.tidied().pins(), Optional.of(key));
            List<Decision> decisions = new ArrayList<>();
            for (ReadQuestion read : keyed.questions()) {
                open.tidied()
                        .question(read.question().id())
                        .flatMap(now -> answer(now, read.question()))
                        .ifPresent(decisions::add);
            }
            if (decisions.isEmpty()) {
                return reviews.say(at, name + " says nothing new about these questions. Look at its numbers.");
            }
            return reviews.decide(
                    at, new Decision.Several(decisions), decisions.size() + " keys set from " + name + ".");
        } catch (IntakeException refused) {
            return reviews.say(at, String.valueOf(refused.getMessage()));
        }
    }

    private static Optional<Decision> answer(Question now, Question keyed) {
        if (!keyed.isKeyed()
                || now.type() != keyed.type() && !(now instanceof ChoiceQuestion && keyed instanceof ChoiceQuestion)) {
            return Optional.empty();
        }
        if (now instanceof ChoiceQuestion choice && keyed instanceof ChoiceQuestion other) {
            boolean fits = other.key().stream()
                    .allMatch(place -> place < choice.options().size());
            return fits && !choice.key().equals(other.key())
                    ? Optional.of(new Decision.SetKey(now.id(), other.key()))
                    : Optional.empty();
        }
        String said = AnswerText.of(keyed);
        return said.equals(AnswerText.of(now)) ? Optional.empty() : Optional.of(new Decision.SetAnswer(now.id(), said));
    }

    List<Replacing.Hit> hits(At at, String wanted, String with, boolean words) {
        return Replacing.find(leaves.open(at.owner(), at.leaf()).tidied().quiz(), wanted, with, false, words);
    }

    Reviewed replace(At at, String wanted, String with, boolean words) {
        List<Replacing.Hit> hits = hits(at, wanted, with, words);
        if (hits.isEmpty()) {
            return reviews.say(at, "\u201c" + wanted + "\u201d stands nowhere.");
        }
        int count = hits.stream().mapToInt(Replacing.Hit::count).sum();
        return reviews.decide(
                at, Replacing.decision(hits), count + (count == 1 ? " place changed." : " places changed."));
    }

    Reviewed repair(At at, String kind, int line, int place) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        Optional<Tidied.Repair> repair = open.tidied().snags().stream()
                .filter(snag -> snag.kind().equals(kind) && snag.line() == line)
                .filter(snag -> place >= 0 && place < snag.repairs().size())
                .map(snag -> snag.repairs().get(place))
                .findFirst();
        return repair.map(found -> reviews.decide(at, found.decision()))
                .orElseGet(() -> reviews.say(at, "That has been settled already."));
    }

    List<HistoryLine> history(At at) {
        return HistoryLine.of(leaves.history(at.owner(), at.leaf()));
    }
}
