package org.tidyleaf.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.exchange.ReadingJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.source.Source;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Reads tests and prints what was understood, as a summary or as the contract's JSON. */
@Command(name = "read", description = "Reads tests and prints what was understood of them.")
final class ReadCommand implements Callable<Integer> {

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "the tests to read")
    private List<Path> files = List.of();

    @Option(names = "--json", description = "print the whole reading as JSON")
    private boolean json;

    @Option(names = "--key", paramLabel = "FILE", description = "a file with the answers")
    @Nullable
    private Path key;

    @Override
    public Integer call() throws IOException {
        int failed = 0;
        PrintStream out = new PrintStream(new BufferedOutputStream(System.out), false, StandardCharsets.UTF_8);
        for (Path file : files) {
            failed += read(file, out) ? 0 : 1;
        }
        out.flush();
        return failed == 0 ? 0 : 1;
    }

    private boolean read(Path file, PrintStream out) throws IOException {
        if (!Files.isRegularFile(file)) {
            System.err.println(file + " is not there. Look at the name and the folder.");
            return false;
        }
        String name = String.valueOf(file.getFileName());
        try {
            Source source = new Intake().read(name, Files.readAllBytes(file));
            Reading reading = new Reader().read(source, Pins.NONE, keySource());
            print(name, reading, out);
            return true;
        } catch (IntakeException refused) {
            System.err.println(refused.getMessage());
            return false;
        }
    }

    private Optional<Source> keySource() throws IOException, IntakeException {
        return key == null
                ? Optional.empty()
                : Optional.of(new Intake().read(String.valueOf(key.getFileName()), Files.readAllBytes(key)));
    }

    private void print(String name, Reading reading, OutputStream out) {
        if (json) {
            ReadingJson.write(reading, out);
        } else {
            summary(name, reading, (PrintStream) out);
        }
    }

    private static void summary(String name, Reading reading, PrintStream out) {
        long keyed = reading.questions().stream()
                .filter(read -> read.question().isKeyed())
                .count();
        out.printf(
                "%s: \u201c%s\u201d, %d questions, %d with a key, %d snags, %d lines%n",
                name,
                reading.title(),
                reading.questions().size(),
                keyed,
                reading.snags().size(),
                reading.ledger().size());
        for (ReadQuestion read : reading.questions()) {
            var particulars = read.question().particulars();
            out.printf(
                    "  %s  %s  %s%n",
                    particulars.number(),
                    read.question().type().label(),
                    particulars.stem().plain());
        }
        for (Snag snag : reading.snags()) {
            out.printf("  line %d: %s%n", snag.line(), snag.message());
        }
    }
}
