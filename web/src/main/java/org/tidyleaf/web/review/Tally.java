package org.tidyleaf.web.review;

import java.math.BigDecimal;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.Role;
import org.tidyleaf.tidying.Tidied;

/**
 * The line above source and questions.
 *
 * @param points as printed, of all questions together
 * @param placed lines that became part of something, {@code aside} those set aside; together all lines
 */
record Tally(int questions, int keyed, String points, int snags, int blocking, int placed, int aside) {

    public int lines() {
        return placed + aside;
    }

    static Tally of(Tidied tidied) {
        BigDecimal points =
                tidied.quiz().questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
        int lines = tidied.reading().ledger().size();
        int aside = (int) tidied.reading().ledger().stream()
                .filter(entry -> entry.role() == Role.ASIDE)
                .count();
        return new Tally(
                tidied.quiz().questions().size(),
                (int) tidied.quiz().questions().stream()
                        .filter(Question::isKeyed)
                        .count(),
                points.stripTrailingZeros().toPlainString(),
                tidied.snags().size(),
                tidied.blocking().size(),
                lines - aside,
                aside);
    }
}
