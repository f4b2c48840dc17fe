package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.source.Source;

/** A key in a file of its own: whatever it is made as, the same test gets the same answers. */
class KeyFilesTest {

    private static final Path FOLDER = Path.of("src/test/resources/keys");

    @ParameterizedTest
    @ValueSource(strings = {"copy.docx", "list.txt", "sheet.xlsx", "table.docx"})
    void aListATableASheetAndTheCopyWithAnswersSayTheSame(String key) throws IOException, IntakeException {
        assertThat(shown(key))
                .contains("* in May or June", "* varroa", "* the queen")
                .contains("= wax moth = stored combs", "= varroa = the brood", "= mouse = the winter cluster")
                .contains("5 numeric-entry A comb is 1.2 m wide and 4 m long. What is its area?", "= 4.8")
                .contains("* False")
                .containsSubsequence("7 order", "= queen", "= worker", "= drone")
                .contains("= It hides the scent of alarm.")
                .doesNotContain("missing-key");
    }

    /** "BBB" for three choices among eight questions: the letters are for those that have options. */
    @Test
    void lettersAloneAreForTheQuestionsWithOptions() throws IOException, IntakeException {
        assertThat(shown("letters.txt"))
                .contains("* in May or June", "* varroa", "* the queen")
                .doesNotContain("* False")
                .doesNotContain("= wax moth =");
    }

    private static String shown(String key) throws IOException, IntakeException {
        Reading reading = new Reader().read(source("apiary.docx"), Pins.NONE, Optional.of(source(key)));
        assertThat(reading.questions()).hasSize(8);
        return Shown.reading(reading);
    }

    private static Source source(String name) throws IOException, IntakeException {
        return new Intake().read(name, Files.readAllBytes(FOLDER.resolve(name)));
    }
}
