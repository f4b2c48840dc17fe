package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;

/** What is printed with its key reads back as the same test: the round trip is the check of writer and reader. */
class PrintedTestTest {

    static List<Path> documents() throws IOException {
        return QtiPackageTest.documents();
    }

    private static Quiz quiz(String name, byte[] bytes) throws IntakeException {
        return new Reader().read(new Intake().read(name, bytes), Pins.NONE).quiz();
    }

    private static Quiz back(Paper paper, Quiz quiz, Source source) throws IOException, IntakeException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PrintedTest.write(paper, quiz, true, QtiPackageTest.figures(source), out);
        return quiz("printed." + paper.name().toLowerCase(Locale.ROOT), out.toByteArray());
    }

    private static byte[] printed(Quiz quiz, boolean keyed) throws IOException {
        return printed(Paper.DOCX, quiz, keyed);
    }

    private static byte[] printed(Paper paper, Quiz quiz, boolean keyed) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PrintedTest.write(paper, quiz, keyed, id -> Optional.empty(), out);
        return out.toByteArray();
    }

    /** Braces and spaces aside, which formulas may come back with in other places. Type, texts, key, points, feedback and hint of each question; letters and emphasis are the document's own. */
    private static List<String> shown(Quiz quiz) {
        List<String> lines = new ArrayList<>();
        for (Question question : quiz.questions()) {
            var particulars = question.particulars();
            lines.add(String.join(
                    " | ",
                    question.type().label(),
                    particulars.stem().plain().replaceAll("[{}\\s\u2003]", ""),
                    particulars
                            .points()
                            .map(points -> points.stripTrailingZeros().toPlainString())
                            .orElse("-"),
                    question instanceof ChoiceQuestion choice ? options(choice) : "",
                    AnswerText.of(question),
                    particulars.feedback().plain(),
                    particulars.hint().plain(),
                    particulars.stem().pictures().size() + " pictures"));
        }
        return lines;
    }

    private static String options(ChoiceQuestion choice) {
        return choice.options().stream().map(option -> option.text().plain()).toList() + " " + choice.key();
    }

    /** Of a test with many pictures no more than one is held at a time: those before have left when the next is asked for. */
    @ParameterizedTest
    @EnumSource(
            value = Paper.class,
            names = {"DOCX", "ODT"})
    void picturesLeaveWhileTheTestIsStillWritten(Paper paper) throws IOException, IntakeException {
        ByteArrayOutputStream square = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 40, BufferedImage.TYPE_INT_RGB), "png", square);
        String inside = Base64.getEncoder().encodeToString(square.toByteArray());
        StringBuilder page = new StringBuilder("<p>Frames</p>");
        for (int i = 1; i <= 40; i++) {
            page.append("<p>").append(i).append(". Which frame is this? <img src='data:image/png;base64,");
            page.append(inside).append("'></p><p>A. brood</p><p>B. honey</p>");
        }
        byte[] noise = new byte[64 * 1024];
        new Random(7).nextBytes(noise);
        Quiz quiz = quiz("frames.html", page.toString().getBytes(StandardCharsets.UTF_8));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        List<Integer> writtenBefore = new ArrayList<>();
        PrintedTest.write(
                paper,
                quiz,
                false,
                id -> {
                    writtenBefore.add(out.size());
                    return Optional.of(new Figure(id, "image/png", "", noise));
                },
                out);
        assertThat(writtenBefore).hasSizeGreaterThanOrEqualTo(40);
        assertThat(writtenBefore.get(writtenBefore.size() - 1)).isGreaterThan(38 * noise.length);
    }

    @ParameterizedTest
    @MethodSource("documents")
    void aPrintedTestReadsBackWithoutALoss(Path document) throws IOException, IntakeException {
        Source source = new Intake().read(document.getFileName().toString(), Files.readAllBytes(document));
        Quiz quiz = new Reader().read(source, Pins.NONE).quiz();
        assertThat(shown(back(Paper.ODT, quiz, source))).isEqualTo(shown(quiz));
        Quiz back = back(Paper.DOCX, quiz, source);
        assertThat(shown(back)).isEqualTo(shown(quiz));
        assertThat(back.title()).isEqualTo(quiz.title());
        assertThat(back.sections())
                .extracting(Section::title)
                .isEqualTo(quiz.sections().stream().map(Section::title).toList());
    }

    @Test
    void aClassesCopyHoldsNoKey() throws IOException, IntakeException {
        Path document = documents().stream()
                .filter(file -> file.endsWith("feeding.txt"))
                .findFirst()
                .orElseThrow();
        Quiz quiz = quiz("feeding.txt", Files.readAllBytes(document));
        Quiz copy = quiz("copy.docx", printed(quiz, false));
        assertThat(quiz.questions()).allMatch(Question::isKeyed);
        assertThat(copy.questions()).hasSameSizeAs(quiz.questions()).noneMatch(Question::isKeyed);
        assertThat(printed(quiz, false)).isEqualTo(printed(quiz, false));
    }
}
