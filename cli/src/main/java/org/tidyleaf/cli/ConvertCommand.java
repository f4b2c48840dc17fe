package org.tidyleaf.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.exchange.Imported;
import org.tidyleaf.exchange.PlainTest;
import org.tidyleaf.exchange.PrintedTest;
import org.tidyleaf.exchange.QtiPackage;
import org.tidyleaf.exchange.QtiReader;
import org.tidyleaf.exchange.Sheet;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Turns a test, or a package of QTI 3.0, into one of the formats that go out. */
@Command(
        name = "convert",
        description = "Turns a test into another format: qti3, print, print_keyed (.docx), text, csv or json.")
final class ConvertCommand implements Callable<Integer> {

    enum Format {
        QTI3,
        /** A test to print, without its key. */
        PRINT,
        /** A test to print, with its key. */
        PRINT_KEYED,
        TEXT,
        CSV,
        JSON
    }

    @Parameters(paramLabel = "FILE", description = "the test, or a QTI 3.0 package")
    private Path file = Path.of("");

    @Option(names = "--to", required = true, description = "${COMPLETION-CANDIDATES}")
    private Format to = Format.QTI3;

    @Option(names = "--out", required = true, paramLabel = "FILE", description = "the file to write")
    private Path out = Path.of("");

    @Option(names = "--key", paramLabel = "FILE", description = "a file with the answers")
    @Nullable
    private Path key;

    @Override
    public Integer call() throws IOException {
        if (!Files.isRegularFile(file)) {
            System.err.println(file + " is not there. Look at the name and the folder.");
            return 1;
        }
        try {
            Imported test = test();
            try (OutputStream stream = new BufferedOutputStream(Files.newOutputStream(out))) {
                write(test, stream);
            }
            test.remarks().forEach(System.err::println);
            unkeyed(test.quiz());
            return 0;
        } catch (IntakeException refused) {
            System.err.println(refused.getMessage());
            return 1;
        }
    }

    private Imported test() throws IOException, IntakeException {
        byte[] bytes = Files.readAllBytes(file);
        String name = String.valueOf(file.getFileName());
        if (QtiReader.isPackage(bytes)) {
            return QtiReader.read(name, bytes);
        }
        Source source = new Intake().read(name, bytes);
        Optional<Source> keySource = key == null
                ? Optional.empty()
                : Optional.of(new Intake().read(String.valueOf(key.getFileName()), Files.readAllBytes(key)));
        Reading reading = new Reader().read(source, Pins.NONE, keySource);
        return new Imported(reading.quiz(), source.figures(), List.of());
    }

    private void write(Imported test, OutputStream stream) throws IOException {
        switch (to) {
            case QTI3 -> QtiPackage.write(test.quiz(), id -> figure(test.figures(), id), stream);
            case PRINT -> PrintedTest.write(test.quiz(), false, id -> figure(test.figures(), id), stream);
            case PRINT_KEYED -> PrintedTest.write(test.quiz(), true, id -> figure(test.figures(), id), stream);
            case TEXT -> stream.write(PlainTest.write(test.quiz(), true).getBytes(StandardCharsets.UTF_8));
            case CSV -> stream.write(Sheet.write(test.quiz()).getBytes(StandardCharsets.UTF_8));
            case JSON -> stream.write(StoredJson.write(test.quiz()).getBytes(StandardCharsets.UTF_8));
        }
    }

    private static Optional<Figure> figure(List<Figure> figures, String id) {
        return figures.stream().filter(figure -> figure.id().equals(id)).findFirst();
    }

    private static void unkeyed(Quiz quiz) {
        List<String> open = quiz.questions().stream()
                .filter(question -> !question.isKeyed())
                .map(Question::particulars)
                .map(particulars ->
                        particulars.number().isEmpty() ? particulars.stem().plain() : particulars.number())
                .toList();
        if (!open.isEmpty()) {
            System.err.println("Written without a key, because none was found: " + String.join(", ", open));
        }
    }
}
