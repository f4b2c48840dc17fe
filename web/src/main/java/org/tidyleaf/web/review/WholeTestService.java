package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
    private final Intake intake;

    WholeTestService(LeafService leaves, Intake intake) {
        this.leaves = leaves;
        this.intake = intake;
    }

    ReviewPage spread(UUID owner, UUID leaf, BigDecimal total, BigDecimal step) {
        OpenLeaf open = leaves.open(owner, leaf);
        List<Question> questions = open.tidied().quiz().questions();
        List<BigDecimal> shares = Spreading.shares(total, questions.size(), step);
        if (shares.isEmpty()) {
            return ReviewPage.of(
                    open,
                    total.toPlainString() + " points can't be shared out among " + questions.size()
                            + " questions in these steps. Take half points, or more of them.");
        }
        OpenLeaf after = leaves.decide(owner, leaf, Spreading.decision(questions, shares));
        return ReviewPage.of(after, total.toPlainString() + " points shared out.");
    }

    /** Reads the key file beside the test and sets what it says; what was edited by hand and agrees is left alone. */
    ReviewPage keyFile(UUID owner, UUID leaf, String name, byte[] bytes) {
        OpenLeaf open = leaves.open(owner, leaf);
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
                return ReviewPage.of(open, name + " says nothing new about these questions. Look at its numbers.");
            }
            OpenLeaf after = leaves.decide(owner, leaf, new Decision.Several(decisions));
            return ReviewPage.of(after, decisions.size() + " keys set from " + name + ".");
        } catch (IntakeException refused) {
            return ReviewPage.of(open, String.valueOf(refused.getMessage()));
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

    List<Replacing.Hit> hits(UUID owner, UUID leaf, String wanted, String with, boolean words) {
        return Replacing.find(leaves.open(owner, leaf).tidied().quiz(), wanted, with, false, words);
    }

    ReviewPage replace(UUID owner, UUID leaf, String wanted, String with, boolean words) {
        List<Replacing.Hit> hits = hits(owner, leaf, wanted, with, words);
        if (hits.isEmpty()) {
            return ReviewPage.of(leaves.open(owner, leaf), "\u201c" + wanted + "\u201d stands nowhere.");
        }
        int count = hits.stream().mapToInt(Replacing.Hit::count).sum();
        OpenLeaf after = leaves.decide(owner, leaf, Replacing.decision(hits));
        return ReviewPage.of(after, count + (count == 1 ? " place changed." : " places changed."));
    }

    ReviewPage repair(UUID owner, UUID leaf, String kind, int line, int place) {
        OpenLeaf open = leaves.open(owner, leaf);
        Optional<Tidied.Repair> repair = open.tidied().snags().stream()
                .filter(snag -> snag.kind().equals(kind) && snag.line() == line)
                .filter(snag -> place >= 0 && place < snag.repairs().size())
                .map(snag -> snag.repairs().get(place))
                .findFirst();
        return repair.map(found -> ReviewPage.of(
                        leaves.decide(owner, leaf, found.decision()),
                        ReviewService.capital(found.decision().inWords()) + "."))
                .orElseGet(() -> ReviewPage.of(open, "That has been settled already."));
    }

    List<HistoryLine> history(UUID owner, UUID leaf) {
        return HistoryLine.of(leaves.history(owner, leaf));
    }
}
