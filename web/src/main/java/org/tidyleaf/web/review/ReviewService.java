package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.Role;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.KeyLine;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;

/** Corrections made on the review page, each one decision. */
@Service
class ReviewService {
    private final LeafService leaves;

    ReviewService(LeafService leaves) {
        this.leaves = leaves;
    }

    ReviewPage page(UUID owner, UUID leaf) {
        return ReviewPage.of(leaves.open(owner, leaf), "");
    }

    /** Decides and tells what changed. */
    ReviewPage decide(UUID owner, UUID leaf, Decision decision) {
        return ReviewPage.of(leaves.decide(owner, leaf, decision), capital(decision.inWords()) + ".");
    }

    /** Adds a question by hand; its id is named after the decision that made it. */
    ReviewPage add(UUID owner, UUID leaf, String after, QuestionType type) {
        OpenLeaf open = leaves.open(owner, leaf);
        return decide(owner, leaf, new Decision.Add("n" + (open.decisionCount() + 1), after, type));
    }

    ReviewPage copy(UUID owner, UUID leaf, String question) {
        OpenLeaf open = leaves.open(owner, leaf);
        return decide(owner, leaf, new Decision.Duplicate(question, "n" + (open.decisionCount() + 1)));
    }

    /** Sets all keys of a typed line at once, and tells how many it set. */
    ReviewPage keys(UUID owner, UUID leaf, String line) {
        OpenLeaf open = leaves.open(owner, leaf);
        List<Decision> decisions = KeyLine.decisions(line, open.tidied().quiz());
        if (decisions.isEmpty()) {
            return ReviewPage.of(open, "No key was set: write a letter for each question, or 1b 2d.");
        }
        String set = decisions.size() == 1 ? "1 key set." : decisions.size() + " keys set.";
        return ReviewPage.of(leaves.decide(owner, leaf, new Decision.Several(decisions)), set);
    }

    /** Pins lines, and tells how many others were understood differently because of it. */
    ReviewPage pin(UUID owner, UUID leaf, List<Integer> lines, Role role, boolean more) {
        Tidied before = leaves.open(owner, leaf).tidied();
        List<Integer> known = lines.stream()
                .filter(line -> line >= 1 && line <= before.reading().ledger().size())
                .toList();
        Decision pin = new Decision.PinLines(known, role, more);
        OpenLeaf after = leaves.decide(owner, leaf, pin);
        int others = othersChanged(before, after.tidied(), known);
        String also =
                others == 0 ? "" : " " + others + " more " + (others == 1 ? "line" : "lines") + " read differently.";
        return ReviewPage.of(after, capital(pin.inWords()) + "." + also);
    }

    private static int othersChanged(Tidied before, Tidied after, List<Integer> pinned) {
        int changed = 0;
        for (int i = 0; i < before.reading().ledger().size(); i++) {
            Entry old = before.reading().ledger().get(i);
            Entry now = after.reading().ledger().get(i);
            boolean differs = old.role() != now.role() || old.more() != now.more();
            changed += differs && !pinned.contains(old.line()) ? 1 : 0;
        }
        return changed;
    }

    /** Makes the option right, or no longer right; where only one can be, it takes the place of the other. */
    OpenLeaf toggleKey(UUID owner, UUID leaf, String question, int option) {
        OpenLeaf open = leaves.open(owner, leaf);
        Optional<Question> found = open.tidied().question(question);
        if (found.isEmpty()
                || !(found.get() instanceof ChoiceQuestion choice)
                || option >= choice.options().size()) {
            return open;
        }
        Set<Integer> key = choice.takesSeveral() ? new HashSet<>(choice.key()) : new HashSet<>();
        boolean wasRight = choice.key().contains(option);
        if (wasRight) {
            key.remove(option);
        } else {
            key.add(option);
        }
        return leaves.decide(owner, leaf, new Decision.SetKey(question, key));
    }

    OpenLeaf edit(UUID owner, UUID leaf, String question, CardForm form) {
        OpenLeaf open = leaves.open(owner, leaf);
        Optional<Decision> changes = open.tidied().question(question).flatMap(form::changes);
        return changes.isPresent() ? leaves.decide(owner, leaf, changes.get()) : open;
    }

    OpenLeaf open(UUID owner, UUID leaf) {
        return leaves.open(owner, leaf);
    }

    OpenLeaf points(UUID owner, UUID leaf, String question, BigDecimal points) {
        OpenLeaf open = leaves.open(owner, leaf);
        boolean same = open.tidied()
                .question(question)
                .filter(q -> Marker.most(q).compareTo(points) == 0)
                .isPresent();
        return same ? open : leaves.decide(owner, leaf, new Decision.SetPoints(question, points));
    }

    ReviewPage rename(UUID owner, UUID leaf, String title) {
        OpenLeaf open = leaves.open(owner, leaf);
        boolean same = title.isEmpty() || open.tidied().quiz().title().equals(title);
        return same ? ReviewPage.of(open, "") : decide(owner, leaf, new Decision.Rename(title));
    }

    static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
