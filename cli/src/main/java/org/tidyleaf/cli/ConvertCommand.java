package org.tidyleaf.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.exchange.Imported;
import org.tidyleaf.exchange.Outlet;
import org.tidyleaf.exchange.QtiPackage;
import org.tidyleaf.exchange.QtiReader;
import org.tidyleaf.exchange.TestJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Turns a test, or a package, into one of the formats that go out. */
@Command(name = "convert", description = "Turns a test into another format, and says what that format can't hold.")
final class ConvertCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "the test, or a package of QTI 2.1, QTI 3.0 or Common Cartridge")
    private Path file = Path.of("");

    @Option(names = "--to", required = true, description = "${COMPLETION-CANDIDATES}")
    private Outlet to = Outlet.QTI3;

    @Option(names = "--out", required = true, paramLabel = "FILE", description = "the file to write")
    private Path out = Path.of("");

    @Option(
            names = "--draw",
            paramLabel = "N",
            description = "with qti3: a pool by topic, and a test that draws so many of each")
    private int draw;

    @Option(names = "--minutes", paramLabel = "N", description = "with qti3 and qti21: a time limit for the whole test")
    private int minutes;

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
                if (draw > 0 && to == Outlet.QTI3) {
                    QtiPackage.writePool(test.quiz(), draw, id -> figure(test.figures(), id), stream);
                } else if (minutes > 0 && (to == Outlet.QTI3 || to == Outlet.QTI21)) {
                    QtiPackage.Version version = to == Outlet.QTI3 ? QtiPackage.Version.V30 : QtiPackage.Version.V21;
                    QtiPackage.writeTimed(version, test.quiz(), minutes, id -> figure(test.figures(), id), stream);
                } else {
                    to.write(test.quiz(), id -> figure(test.figures(), id), stream);
                }
            }
            test.remarks().forEach(System.err::println);
            to.remarks(test.quiz()).forEach(System.err::println);
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
        if (TestJson.isTest(bytes)) {
            return TestJson.read(name, bytes);
        }
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

    private static Optional<Figure> figure(List<Figure> figures, String id) {
        return figures.stream().filter(figure -> figure.id().equals(id)).findFirst();
    }

    private static void unkeyed(Quiz quiz) {
        List<String> open = Outlet.unkeyed(quiz);
        if (!open.isEmpty()) {
            System.err.println("Written without a key, because none was found: " + String.join(", ", open));
        }
    }
}
