package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.publish.EditionService;

/** The questions of a sitting with the keys that count: its edition's, or those of its last regrading. */
@Component
class MarkedEdition {
    private final RegradeRepository regrades;
    private final EditionService editions;

    MarkedEdition(RegradeRepository regrades, EditionService editions) {
        this.regrades = regrades;
        this.editions = editions;
    }

    /** @param sat the questions as the candidates have them */
    Quiz quiz(UUID sitting, Quiz sat) {
        List<RegradeEntity> done = regrades.findBySittingIdOrderById(sitting);
        return done.isEmpty()
                ? sat
                : Correction.of(
                                sat,
                                editions.get(done.get(done.size() - 1).editionId)
                                        .quiz())
                        .quiz();
    }
}
