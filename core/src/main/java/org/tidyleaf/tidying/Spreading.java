package org.tidyleaf.tidying;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.question.Question;

/** Shares a total out among questions in steps of whole or half points: 20 over 8 gives four times 2 and four times 3. */
public final class Spreading {

    private Spreading() {}

    /**
     * The points for each question, in order; they add up to the total exactly. What does not divide evenly goes to the
     * last ones. Empty where the total is no multiple of the step or gives some question nothing.
     *
     * @param step 1 or 0.5, for example
     */
    public static List<BigDecimal> shares(BigDecimal total, int questions, BigDecimal step) {
        if (questions == 0 || total.remainder(step).signum() != 0) {
            return List.of();
        }
        int steps = total.divide(step, 0, RoundingMode.UNNECESSARY).intValueExact();
        int each = steps / questions;
        int more = steps % questions;
        List<BigDecimal> shares = new ArrayList<>();
        for (int i = 0; i < questions; i++) {
            int own = each + (i >= questions - more ? 1 : 0);
            if (own == 0) {
                return List.of();
            }
            shares.add(step.multiply(BigDecimal.valueOf(own)));
        }
        return shares;
    }

    /** What sets those shares. */
    public static Decision decision(List<Question> questions, List<BigDecimal> shares) {
        List<Decision> parts = new ArrayList<>();
        for (int i = 0; i < questions.size(); i++) {
            parts.add(new Decision.SetPoints(questions.get(i).id(), shares.get(i)));
        }
        return new Decision.Several(parts);
    }
}
