package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Source;

/** What is written for word processors and spreadsheets opens in LibreOffice and shows every question; skipped where it is not installed. */
class OfficeOpensTest {

    private static final Path OFFICE = Path.of("/usr/bin/soffice");

    @TempDir
    Path folder;

    @Test
    void everyFileOpensAndShowsEveryQuestion() throws IOException, IntakeException, InterruptedException {
        assumeTrue(Files.isExecutable(OFFICE));
        ByteArrayOutputStream starter = new ByteArrayOutputStream();
        StarterDocument.write(Paper.DOCX, starter);
        Source source = new Intake().read("starter.docx", starter.toByteArray());
        Quiz quiz = new Reader().read(source, Pins.NONE).quiz();
        for (Outlet outlet : List.of(Outlet.DOCX, Outlet.ODT, Outlet.XLSX)) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            outlet.write(quiz, QtiPackageTest.figures(source), out);
            Files.write(folder.resolve(outlet.name() + outlet.ending()), out.toByteArray());
        }
        convert("pdf", "DOCX.docx", "ODT.odt");
        // On paper a sheet cuts long cells off.
        convert("csv:Text - txt - csv (StarCalc):44,34,UTF8", "XLSX.xlsx");
        for (String name : List.of("DOCX.pdf", "ODT.pdf", "XLSX.csv")) {
            String shown = plain(text(folder.resolve(name)));
            for (Question question : quiz.questions()) {
                assertThat(shown).as(name).contains(beginning(question.particulars()));
            }
        }
        assertThat(pages("DOCX")).isEqualTo(pages("ODT")).isBetween(2, 8);
    }

    private void convert(String to, String... files) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                OFFICE.toString(),
                "-env:UserInstallation=" + folder.resolve("profile").toUri(),
                "--headless",
                "--convert-to",
                to,
                "--outdir",
                folder.toString()));
        for (String file : files) {
            command.add(folder.resolve(file).toString());
        }
        Process office = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("office.log").toFile())
                .start();
        assertThat(office.waitFor(2, TimeUnit.MINUTES))
                .as(Files.readString(folder.resolve("office.log"), StandardCharsets.UTF_8))
                .isTrue();
    }

    /** The stem up to its first gap, formula or picture, and no further than a word bank may be printed in between. */
    private static String beginning(Particulars particulars) {
        String stem = plain(particulars.stem().plain().split("_{2,}|\\[|\\\\|\uFFFC", 2)[0]);
        return stem.substring(0, Math.min(25, stem.length()));
    }

    private static String plain(String text) {
        return text.replaceAll("\\s+", "");
    }

    private static String text(Path file) throws IOException {
        if (file.toString().endsWith(".csv")) {
            return Files.readString(file);
        }
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return new PDFTextStripper().getText(document);
        }
    }

    private int pages(String name) throws IOException {
        try (PDDocument document = Loader.loadPDF(folder.resolve(name + ".pdf").toFile())) {
            return document.getNumberOfPages();
        }
    }
}
