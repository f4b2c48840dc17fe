package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;

/**
 * Whole documents of many habits (in the folder {@code documents} of the test resources), each with what a careful
 * teacher would want of it in a file {@code NAME.expected}: sections, then a line for each question with its number, type,
 * points and stem, its options with a star before the right ones, or its answer.
 */
class WholeDocumentsTest {

    private static Path folder() {
        try {
            return Path.of(WholeDocumentsTest.class.getResource("/documents").toURI());
        } catch (URISyntaxException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    static List<Path> documents() throws IOException {
        try (Stream<Path> files = Files.list(folder())) {
            return files.filter(file -> !file.toString().endsWith(".expected"))
                    .sorted()
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("documents")
    void aDocumentIsReadAsACarefulTeacherWould(Path document) throws IOException, IntakeException {
        String name = document.getFileName().toString();
        Path expected = folder().resolve(name.substring(0, name.indexOf('.')) + ".expected");
        assertThat(Shown.reading(read(document)))
                .isEqualTo(Files.readString(expected).strip());
    }

    /** The bar of the reading contract: one test saved in five formats is the same questions. */
    @Test
    void theSameTestInFiveFormatsIsTheSameQuestions() throws IOException, IntakeException {
        Path formats = folder().resolveSibling("formats");
        String docx = Shown.reading(read(formats.resolve("bevel.docx")));
        assertThat(docx).contains("8 grid 3p Tick the right box in each row.", "* cut an angle", "= stock / handle");
        for (String ending : List.of("odt", "rtf", "doc", "pdf")) {
            assertThat(Shown.reading(read(formats.resolve("bevel." + ending))))
                    .as(ending)
                    .isEqualTo(docx);
        }
    }

    /** "Outcome | LO1" below a stem is said of that question, though the next table begins right behind it. */
    @Test
    void aFieldIsItsOwnQuestionsLabel() throws IOException, IntakeException {
        Reading bank = read(folder().resolve("items-over-field-tables.docx"));
        assertThat(bank.questions())
                .extracting(read ->
                        read.question().particulars().settings().labels().get(0))
                .containsExactly("Outcome: LO1", "Outcome: LO2", "Outcome: LO1");
    }

    /** Common practice: a locale must not change what is read; Turkish is the one that changes letters. */
    @Test
    void aLocaleChangesNothing() throws IOException, IntakeException {
        Path document = folder().resolve("final-examination.txt");
        Reading here = read(document);
        Locale usual = Locale.getDefault();
        try {
            Locale.setDefault(Locale.forLanguageTag("tr-TR"));
            assertThat(read(document)).isEqualTo(here);
        } finally {
            Locale.setDefault(usual);
        }
    }

    private static Reading read(Path document) throws IOException, IntakeException {
        String name = document.getFileName().toString();
        return new Reader().read(new Intake().read(name, Files.readAllBytes(document)), Pins.NONE, Optional.empty());
    }
}
