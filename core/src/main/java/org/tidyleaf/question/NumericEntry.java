package org.tidyleaf.question;

import java.math.BigDecimal;
import java.util.Optional;

/** A number to type, with or without its unit. */
public record NumericEntry(Particulars particulars, Optional<Key> key) implements Question {

    /**
     * The right number.
     *
     * @param tolerance how far an answer may be off, ends included; not negative, and none at all where it says 0
     * @param unit as printed, or empty
     */
    public record Key(BigDecimal value, Optional<BigDecimal> tolerance, String unit) {
        public Key {
            if (tolerance.filter(t -> t.signum() < 0).isPresent()) {
                throw new IllegalArgumentException("a tolerance is not negative: " + tolerance.get());
            }
            tolerance = tolerance.filter(t -> t.signum() > 0);
        }
    }

    @Override
    public boolean isKeyed() {
        return key.isPresent();
    }

    @Override
    public QuestionType type() {
        return QuestionType.NUMERIC_ENTRY;
    }

    @Override
    public NumericEntry withParticulars(Particulars other) {
        return new NumericEntry(other, key);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.numericEntry(this);
    }
}
