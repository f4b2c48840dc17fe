package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/** Of several attempts of one person the one that counts: the best or the last, handed in before not. */
final class Attempts {

    private Attempts() {}

    /** @param scripts in the order they were begun */
    static List<ResultTable.Answers> counting(Quiz quiz, Rules rules, List<ResultTable.Answers> scripts) {
        Map<UUID, ResultTable.Answers> counting = new LinkedHashMap<>();
        for (ResultTable.Answers script : scripts) {
            counting.merge(script.person(), script, (before, here) -> better(quiz, rules, before, here));
        }
        return new ArrayList<>(counting.values());
    }

    private static ResultTable.Answers better(
            Quiz quiz, Rules rules, ResultTable.Answers before, ResultTable.Answers here) {
        if (before.handedIn() && !here.handedIn()) {
            return before;
        }
        boolean beaten =
                rules.best() && before.handedIn() && total(quiz, rules, before).compareTo(total(quiz, rules, here)) > 0;
        return beaten ? before : here;
    }

    private static BigDecimal total(Quiz quiz, Rules rules, ResultTable.Answers script) {
        BigDecimal total = BigDecimal.ZERO;
        for (Question question : quiz.questions()) {
            total = total.add(Marker.mark(
                            question,
                            script.responses().of(question.id()),
                            Optional.ofNullable(script.marks().get(question.id())),
                            rules.marking())
                    .earned()
                    .orElse(BigDecimal.ZERO));
        }
        return total;
    }
}
