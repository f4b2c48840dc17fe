package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;

/** What goes out in every format: steady bytes, nothing of the test missing, versions with their own keys. */
class OutletTest {

    private static Quiz quiz() throws IntakeException {
        return QtiPackageTest.quiz("all.txt", QtiPackageTest.ALL_TYPES.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] written(Outlet outlet, Quiz quiz) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        outlet.write(quiz, id -> Optional.empty(), out);
        return out.toByteArray();
    }

    @ParameterizedTest
    @EnumSource(Outlet.class)
    void theSameTestGivesTheSameBytes(Outlet outlet) throws IOException, IntakeException {
        assertThat(written(outlet, quiz())).isEqualTo(written(outlet, quiz()));
    }

    /** Two files written within one second would agree with it too. */
    @Test
    void aPdfDoesNotSayWhenItWasWritten() throws IOException, IntakeException {
        try (PDDocument document = Loader.loadPDF(written(Outlet.PDF, quiz()))) {
            assertThat(document.getDocumentInformation().getCreationDate()).isNull();
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo(quiz().title());
        }
    }

    @Test
    void aPdfHoldsEveryQuestionAndOnlyTheKeyedOneTheKey() throws IOException, IntakeException {
        Quiz quiz = quiz();
        String plain = text(written(Outlet.PDF, quiz));
        for (Question question : quiz.questions()) {
            String first =
                    question.particulars().stem().plain().split("[^\\p{L} ]")[0].strip();
            assertThat(plain).contains(first);
        }
        assertThat(plain).contains("Name:").doesNotContain("Answer:", "squares & sides");
        assertThat(text(written(Outlet.PDF_KEYED, quiz))).contains("Answer: A", "squares & sides");
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void aWorkbookReadsBackAsTheSameTest() throws IOException, IntakeException {
        Quiz quiz = quiz();
        Quiz back = new Reader()
                .read(new Intake().read("sheet.xlsx", written(Outlet.XLSX, quiz)), Pins.NONE)
                .quiz();
        assertThat(back.questions()).hasSameSizeAs(quiz.questions());
        for (int i = 0; i < 3; i++) {
            ChoiceQuestion before = (ChoiceQuestion) quiz.questions().get(i);
            ChoiceQuestion after = (ChoiceQuestion) back.questions().get(i);
            assertThat(after.key()).isEqualTo(before.key());
            assertThat(texts(after)).isEqualTo(texts(before));
        }
    }

    private static List<String> texts(ChoiceQuestion choice) {
        return choice.options().stream().map(option -> option.text().plain()).toList();
    }

    /** Each version has every question, and under its own letters the same right answers. */
    @Test
    void versionsDifferAndEachHasItsOwnKey() throws IOException, IntakeException {
        Quiz quiz = quiz();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PrintedVersions.write(Paper.DOCX, quiz, 3, 7, id -> Optional.empty(), out);
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(out.toByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        assertThat(files).hasSize(6).containsKeys("Version A.docx", "Version C with key.docx");
        Map<String, List<String>> right = right(quiz);
        List<String> orders = new java.util.ArrayList<>();
        for (char letter : "ABC".toCharArray()) {
            Quiz version = QtiPackageTest.quiz("v.docx", files.get("Version " + letter + " with key.docx"));
            assertThat(right(version)).isEqualTo(right);
            orders.add(version.questions().toString());
        }
        assertThat(orders).doesNotHaveDuplicates();
    }

    /** The words of the right options by what is asked. */
    private static Map<String, List<String>> right(Quiz quiz) {
        Map<String, List<String>> right = new HashMap<>();
        for (Question question : quiz.questions()) {
            if (question instanceof ChoiceQuestion choice) {
                right.put(
                        choice.particulars().stem().plain(),
                        choice.key().stream()
                                .map(i -> choice.options().get(i).text().plain())
                                .sorted()
                                .toList());
            }
        }
        return right;
    }

    @Test
    void jsonReadsBackWithoutALossAndDamagedOneIsRefusedInWords() throws IOException, IntakeException {
        Quiz quiz = quiz();
        byte[] json = written(Outlet.JSON, quiz);
        assertThat(TestJson.isTest(json)).isTrue();
        assertThat(TestJson.read("t.json", json).quiz()).isEqualTo(quiz);
        String text = new String(json, StandardCharsets.UTF_8);
        for (String damaged : List.of(
                text.substring(0, text.length() / 2),
                text.replace("\"version\":1", "\"version\":9"),
                "{\"format\":\"tidyleaf-test\",\"version\":1}")) {
            assertThatThrownBy(() -> TestJson.read("t.json", damaged.getBytes(StandardCharsets.UTF_8)))
                    .isInstanceOf(IntakeException.class)
                    .hasMessageContaining("t.json");
        }
    }
}
