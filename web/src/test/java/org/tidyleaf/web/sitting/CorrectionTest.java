package org.tidyleaf.web.sitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;

/** A later key counts only for what the candidates were really asked. */
class CorrectionTest {

    private static final String SAT = """
            Bee check
            1. Who dances?
            A. workers *
            B. drones
            2. What closes gaps?
            Answer: propolis
            3. Who lays eggs?
            A. queen *
            B. worker
            """;

    private static Quiz quiz(String text) throws IntakeException {
        return new Reader()
                .read(new Intake().read("t.txt", text.getBytes(StandardCharsets.UTF_8)), Pins.NONE)
                .quiz();
    }

    @Test
    void otherKeysAndPointsOfTheSameQuestionsAreTaken() throws IntakeException {
        String later = SAT.replace("workers *", "workers")
                .replace("B. drones", "B. drones *")
                .replace("propolis", "propolis / bee glue");
        Correction correction = Correction.of(quiz(SAT), quiz(later));
        assertThat(correction.changes()).containsExactly("1", "2");
        assertThat(((ChoiceQuestion) correction.quiz().questions().get(0)).key())
                .containsExactly(1);
    }

    @Test
    void aQuestionThatReadsOtherwiseNowIsMarkedAsItWas() throws IntakeException {
        String later = SAT.replace("A. queen *\nB. worker", "A. worker *\nB. queen");
        Correction correction = Correction.of(quiz(SAT), quiz(later));
        assertThat(correction.changes()).isEqualTo(List.of());
        assertThat(correction.quiz()).isEqualTo(quiz(SAT));
    }
}
