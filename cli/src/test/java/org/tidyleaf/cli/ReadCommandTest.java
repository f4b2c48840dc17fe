package org.tidyleaf.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class ReadCommandTest {

    @TempDir
    Path folder;

    private final ByteArrayOutputStream printed = new ByteArrayOutputStream();
    private final PrintStream usual = System.out;
    private final Locale usualLocale = Locale.getDefault();

    @BeforeEach
    void catchOutput() {
        System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
    }

    @AfterEach
    void restoreOutput() {
        System.setOut(usual);
        Locale.setDefault(usualLocale);
    }

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private int run(Object... arguments) {
        printed.reset();
        String[] words = Stream.of(arguments).map(String::valueOf).toArray(String[]::new);
        return new CommandLine(new ReadCommand()).execute(words);
    }

    @Test
    void theReadingIsPrintedInTheShapeOfTheContract() throws IOException {
        Path test = file("bees.txt", "Bee check\n1. Who dances? (2 points)\nA. workers\nB. drones\n");
        Path key = file("key.txt", "Key\n1 A\n");
        assertThat(run(test, "--key", key, "--json")).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains(
                        "\"title\" : \"Bee check\"", "\"type\" : \"single-choice\"", "\"key\" : true", "\"points\" : 2")
                .contains("\"keySource\" : \"separate\"", "\"role\" : \"title\"", "\"line\" : 4");
    }

    @Test
    void theSameFilePrintsTheSameBytesInEveryLocale() throws IOException {
        Path test = file("bees.txt", "1. Wide?\nAnswer: 3,5 mm (\u00b1 0,5)\n2. DRONES STING. TRUE / FALSE\n");
        run(test, "--json");
        String first = printed.toString(StandardCharsets.UTF_8);
        Locale.setDefault(Locale.forLanguageTag("tr-TR"));
        run(test, "--json");
        assertThat(printed.toString(StandardCharsets.UTF_8)).isEqualTo(first).contains("\"value\" : 3.5");
    }

    @Test
    void oneFileThatCannotBeReadDoesNotStopTheOthers() throws IOException {
        Path good = file("bees.txt", "Bee check\n1. Who dances?\nA. workers *\nB. drones\n");
        Path bad = file("bad.docx", "no zip");
        assertThat(run(bad, folder.resolve("absent.txt"), good)).isEqualTo(1);
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains("bees.txt: \u201cBee check\u201d, 1 questions, 1 with a key");
    }

    @Test
    void aFolderIsReadFileByFileIntoAnother() throws IOException {
        file("a.txt", "Bee check\n1. Who dances?\nA. workers *\nB. drones\n");
        file("b.md", "# Wax\n1. Who makes it?\nA. drones\nB. workers *\n");
        file("notes.xyz", "no test");
        Path out = folder.resolve("out");
        assertThat(run(folder, "--out", out)).isZero();
        assertThat(out).isDirectoryContaining(path -> path.endsWith("a.txt.json"));
        assertThat(out.resolve("b.md.json")).content().contains("\"title\" : \"Wax\"");
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("a.txt:", "b.md:");
    }

    @Test
    void aPinTeachesTheWordItBeginsWith() throws IOException {
        Path test = file(
                "bees.txt",
                "1. Who dances?\nA. workers\nB. drones\nSol = A\n2. Who lays?\nA. drones\nB. the queen\nSol = B\n");
        run(test, "--pin", "4=key");
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("2 questions, 2 with a key");
        assertThat(run(test, "--pin", "4=nonsense")).isEqualTo(2);
    }
}
