package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.w3c.dom.Document;

/**
 * Cartridges against the rules of Common Cartridge 1.3 and of QTI 1.2 (1EdTech, IMS CC implementation guide, section on
 * assessments): one section, known profiles only, scores set to 100, every identifier of a response one that is there.
 */
class CartridgePackageTest {

    private static Quiz quiz() throws IntakeException {
        return QtiPackageTest.quiz("all.txt", QtiPackageTest.ALL_TYPES.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] written(Quiz quiz) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Outlet.CARTRIDGE.write(quiz, id -> Optional.empty(), out);
        return out.toByteArray();
    }

    @Test
    void aCartridgeKeepsTheRules() throws Exception {
        Map<String, byte[]> files = QtiPackageTest.unzip(written(quiz()));
        Document manifest = QtiPackageTest.parse(files.get("imsmanifest.xml"));
        assertThat(QtiPackageTest.all(manifest, "//schemaversion")).containsExactly("1.3.0");
        assertThat(QtiPackageTest.all(manifest, "//resource/@identifier"))
                .containsAll(QtiPackageTest.all(manifest, "//@identifierref"));
        assertThat(QtiPackageTest.all(manifest, "//file/@href")).allMatch(files::containsKey);
        Document test = QtiPackageTest.parse(files.get("test/assessment.xml"));
        assertThat(QtiPackageTest.all(test, "//section/@ident")).containsExactly("root_section");
        assertThat(QtiPackageTest.all(test, "//item/@ident")).doesNotHaveDuplicates();
        assertThat(QtiPackageTest.all(test, "//qtimetadatafield[fieldlabel='cc_profile']/fieldentry"))
                .allMatch(profile ->
                        profile.matches("cc\\.(exam|multiple_choice|multiple_response|true_false|fib|essay)\\.v0p1"));
        assertThat(QtiPackageTest.all(test, "//setvar")).isNotEmpty().allMatch("100"::equals);
        List<String> choices = QtiPackageTest.all(test, "//response_label/@ident");
        assertThat(QtiPackageTest.all(test, "//item[.//response_lid]//varequal"))
                .isNotEmpty()
                .allMatch(choices::contains);
        assertThat(QtiPackageTest.all(test, "//itemfeedback/@ident"))
                .containsAll(QtiPackageTest.all(test, "//displayfeedback/@linkrefid"));
    }

    @Test
    void choicesComeBackAsTheyWereAndNoPointIsLost() throws IOException, IntakeException {
        Quiz quiz = quiz();
        Imported back = QtiReader.read("c.imscc", written(quiz));
        assertThat(back.remarks()).isEmpty();
        for (QuestionType type :
                List.of(QuestionType.SINGLE_CHOICE, QuestionType.MULTIPLE_CHOICE, QuestionType.TRUE_FALSE)) {
            ChoiceQuestion before = (ChoiceQuestion) first(quiz, type);
            ChoiceQuestion after = (ChoiceQuestion) back.quiz().questions().stream()
                    .filter(question -> question.id().equals(before.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(after.type()).isEqualTo(type);
            assertThat(after.key()).isEqualTo(before.key());
            assertThat(after.options())
                    .extracting(option -> option.text().plain())
                    .isEqualTo(before.options().stream()
                            .map(option -> option.text().plain())
                            .toList());
            assertThat(after.particulars().feedback().plain())
                    .isEqualTo(before.particulars().feedback().plain());
        }
        assertThat(points(back.quiz())).isEqualByComparingTo(points(quiz));
    }

    @Test
    void whatACartridgeCantHoldIsSaidBefore() throws IntakeException {
        assertThat(Outlet.CARTRIDGE.remarks(quiz()))
                .anyMatch(remark -> remark.contains("question 7 (match)"))
                .anyMatch(remark -> remark.contains("tolerance"))
                .anyMatch(remark -> remark.contains("Hints"))
                .anyMatch(remark -> remark.contains("passage"));
    }

    private static BigDecimal points(Quiz quiz) {
        return quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    private static Question first(Quiz quiz, QuestionType type) {
        return quiz.questions().stream()
                .filter(question -> question.type() == type)
                .findFirst()
                .orElseThrow();
    }
}
