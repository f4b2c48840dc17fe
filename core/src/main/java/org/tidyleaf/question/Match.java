package org.tidyleaf.question;

import java.util.List;

/**
 * Things on the left to be paired with targets on the right.
 *
 * @param lefts in printed order
 * @param targets as printed, distractors included
 * @param key for each left the 0-based place of its target; empty where nobody has said
 */
public record Match(Particulars particulars, List<Prose> lefts, List<Prose> targets, List<Integer> key)
        implements Question {
    public Match {
        lefts = List.copyOf(lefts);
        targets = List.copyOf(targets);
        key = List.copyOf(key);
        if (!key.isEmpty() && key.size() != lefts.size()) {
            throw new IllegalArgumentException(key.size() + " keys for " + lefts.size() + " lefts");
        }
    }

    @Override
    public boolean isKeyed() {
        return !key.isEmpty();
    }

    @Override
    public QuestionType type() {
        return QuestionType.MATCH;
    }

    @Override
    public Match withParticulars(Particulars other) {
        return new Match(other, lefts, targets, key);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.match(this);
    }
}
