package org.tidyleaf.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.exchange.ReadingJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.source.Source;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * Reads tests and prints what was understood, as a summary or as the contract's JSON. Ends with 0 if all could be read, 1
 * if some could not, 2 if the command itself was not understood.
 */
@Command(name = "read", description = "Reads tests and prints what was understood of them.")
final class ReadCommand implements Callable<Integer> {

    private static final String GOES_ON = "more";

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "the tests to read, or folders of tests")
    private List<Path> files = List.of();

    @Option(names = "--json", description = "print the whole reading as JSON")
    private boolean json;

    @Option(names = "--key", paramLabel = "FILE", description = "a file with the answers")
    @Nullable
    private Path key;

    @Option(
            names = "--pin",
            paramLabel = "LINE=ROLE",
            description =
                    "what a line is to be: title, section, instruction, stimulus, stem, option, key, feedback, hint,"
                            + " aside, or more if it goes on from the line above")
    private Map<Integer, String> pins = new HashMap<>();

    @Option(names = "--out", paramLabel = "FOLDER", description = "write NAME.json for each test into this folder")
    @Nullable
    private Path out;

    @Override
    public Integer call() throws IOException {
        Optional<Pins> wanted = pins();
        if (wanted.isEmpty()) {
            return 2;
        }
        List<Path> all = expanded();
        if (out != null) {
            Files.createDirectories(out);
        }
        int failed = 0;
        PrintStream printed = new PrintStream(new BufferedOutputStream(System.out), false, StandardCharsets.UTF_8);
        boolean terminal = System.console() != null && all.size() > 1;
        for (int i = 0; i < all.size(); i++) {
            if (terminal) {
                System.err.printf(
                        "\r%d of %d  %-60.60s", i + 1, all.size(), all.get(i).getFileName());
            }
            failed += read(all.get(i), wanted.get(), printed) ? 0 : 1;
        }
        if (terminal) {
            System.err.printf("\r%-80s\r", "");
        }
        printed.flush();
        return failed == 0 ? 0 : 1;
    }

    /** What was asked for; empty, and said why, where a role is not known. */
    private Optional<Pins> pins() {
        Map<Integer, Pins.Pin> byLine = new HashMap<>();
        for (Map.Entry<Integer, String> pin : pins.entrySet()) {
            String name = pin.getValue().toLowerCase(Locale.ROOT);
            Optional<Role> role = Stream.of(Role.values())
                    .filter(known -> known.label().equals(name))
                    .findFirst();
            if (role.isEmpty() && !name.equals(GOES_ON)) {
                System.err.println("--pin " + pin.getKey() + "=" + pin.getValue()
                        + ": there is no such role. Take stem, option, key, section, stimulus, aside or more.");
                return Optional.empty();
            }
            byLine.put(pin.getKey(), new Pins.Pin(role.orElse(Role.STEM), role.isEmpty()));
        }
        return Optional.of(new Pins(byLine));
    }

    /** The files as given; for a folder, all files in it that can be read, by name. */
    private List<Path> expanded() throws IOException {
        Intake intake = new Intake();
        List<Path> all = new ArrayList<>();
        for (Path file : files) {
            if (Files.isDirectory(file)) {
                try (Stream<Path> inside = Files.list(file)) {
                    inside.filter(Files::isRegularFile)
                            .filter(path -> intake.reads(String.valueOf(path.getFileName())))
                            .filter(path -> !path.equals(key))
                            .sorted()
                            .forEach(all::add);
                }
            } else {
                all.add(file);
            }
        }
        return all;
    }

    private boolean read(Path file, Pins wanted, PrintStream printed) throws IOException {
        if (!Files.isRegularFile(file)) {
            System.err.println(file + " is not there. Look at the name and the folder.");
            return false;
        }
        String name = String.valueOf(file.getFileName());
        try {
            Source source = new Intake().read(name, Files.readAllBytes(file));
            Reading reading = new Reader().read(source, wanted, keySource());
            if (out != null) {
                try (OutputStream written =
                        new BufferedOutputStream(Files.newOutputStream(out.resolve(name + ".json")))) {
                    ReadingJson.write(reading, written);
                }
            }
            print(name, reading, printed);
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

    private void print(String name, Reading reading, PrintStream printed) {
        if (json) {
            ReadingJson.write(reading, printed);
        } else {
            summary(name, reading, printed);
        }
    }

    private static void summary(String name, Reading reading, PrintStream printed) {
        long keyed = reading.questions().stream()
                .filter(read -> read.question().isKeyed())
                .count();
        printed.printf(
                "%s: \u201c%s\u201d, %d questions, %d with a key, %d snags, %d lines%n",
                name,
                reading.title(),
                reading.questions().size(),
                keyed,
                reading.snags().size(),
                reading.ledger().size());
        for (ReadQuestion read : reading.questions()) {
            var particulars = read.question().particulars();
            printed.printf(
                    "  %s  %s  %s%n",
                    particulars.number(),
                    read.question().type().label(),
                    particulars.stem().plain());
        }
        for (Snag snag : reading.snags()) {
            printed.printf("  line %d: %s%n", snag.line(), snag.message());
        }
    }
}
