package org.tidyleaf.drafting;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;

class DraftWriterTest {

    private static final String PASSAGE = """
            A colony of bees lives through the winter as a cluster. In the middle of the cluster sits the queen, and the
            temperature around her never falls below 20 degrees. The workers shiver with their muscles and burn the honey
            that they carried home in summer. A strong colony eats about 12 kilograms of honey between October and March.
            On mild days the workers leave the hive for a short flight to empty their bowels. When the willow blossoms in
            spring, the first pollen comes into the hive and the queen lays up to 1500 eggs a day. The old winter bees die
            within 6 weeks, and their young sisters take over the work.
            """;

    /** A draft has to pass through the reader like any other text: all of it understood, every key found. */
    @Test
    void aDraftIsReadWithoutASnag() throws IntakeException {
        String draft = DraftWriter.write(PASSAGE, 6, 4).orElseThrow();
        Reading reading =
                new Reader().read(new Intake().read("draft.md", draft.getBytes(StandardCharsets.UTF_8)), Pins.NONE);
        assertThat(reading.snags()).isEmpty();
        assertThat(reading.questions()).hasSize(6);
        assertThat(reading.questions()).allMatch(read -> read.question().isKeyed());
        assertThat(reading.questions())
                .allMatch(read -> read.question().particulars().stimulus() == 0);
        assertThat(reading.stimuli().get(0).text().plain())
                .startsWith("Read the text for questions 1-6. A colony of bees")
                .endsWith("the work.");
    }

    @Test
    void theRightOptionIsTheWordOfThePassage() throws IntakeException {
        String draft = DraftWriter.write(PASSAGE, 6, 4).orElseThrow();
        Reading reading =
                new Reader().read(new Intake().read("draft.md", draft.getBytes(StandardCharsets.UTF_8)), Pins.NONE);
        String text = PASSAGE.replaceAll("\\s+", " ");
        for (var read : reading.questions()) {
            Question question = read.question();
            if (question instanceof ChoiceQuestion choice && choice.options().size() > 2) {
                String right = choice.options()
                        .get(choice.key().iterator().next())
                        .text()
                        .plain();
                String stem = question.particulars().stem().plain();
                String sentence = stem.substring(stem.indexOf('?') + 1).strip();
                assertThat(text).contains(sentence.replaceAll("\\[\\[1]]|_{3,}", right));
            }
        }
    }

    @Test
    void theSameWishGivesTheSameDraft() {
        assertThat(DraftWriter.write(PASSAGE, 5, 3)).isEqualTo(DraftWriter.write(PASSAGE, 5, 3));
        assertThat(DraftWriter.write("Too short.", 5, 3)).isEmpty();
    }
}
