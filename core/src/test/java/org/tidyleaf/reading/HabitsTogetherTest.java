package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Inline;
import org.tidyleaf.reading.made.Drawn;
import org.tidyleaf.reading.made.MadeBlocks;
import org.tidyleaf.reading.made.MadeChat;
import org.tidyleaf.reading.made.MadeExercises;
import org.tidyleaf.reading.made.MadeKeyFile;
import org.tidyleaf.reading.made.MadeOneTable;
import org.tidyleaf.reading.made.MadeParts;
import org.tidyleaf.reading.made.MadePassages;
import org.tidyleaf.reading.made.MadeSheet;
import org.tidyleaf.reading.made.MadeTables;
import org.tidyleaf.reading.made.MadeTasks;
import org.tidyleaf.reading.made.MadeTest;
import org.tidyleaf.reading.made.MadeWeb;
import org.tidyleaf.reading.made.MadeWithoutNumbers;
import org.tidyleaf.reading.made.MadeWord;
import org.tidyleaf.source.Source;

/**
 * Habits that each are read well alone must be read well together: tests are typed by drawn habits, and what was put in has to come
 * out. {@code -Dtidyleaf.made=1000} draws more of them, {@code -Dtidyleaf.made.kind=MadeWord} only some of the
 * papers, {@code -Dtidyleaf.made.folder=FOLDER} keeps each with what was wanted and what was read.
 */
class HabitsTogetherTest {

    private static final List<String> FORMATS = List.of("docx", "odt", "pdf", "rtf", "docx", "html", "pdf");

    private static final String KIND = System.getProperty("tidyleaf.made.kind", ".*");

    static Stream<Arguments> tests() {
        int most = Integer.getInteger("tidyleaf.made", 150);
        return Stream.of("en", "de", "fr", "es", "it", "pt", "nl", "pl")
                .flatMap(language -> LongStream.range(0, language.equals("en") ? most : most / 8)
                        .mapToObj(seed -> Arguments.of(language, seed)));
    }

    @ParameterizedTest
    @MethodSource("tests")
    void whatWasPutInIsReadOut(String language, long seed) throws IntakeException, IOException {
        String format = System.getProperty("tidyleaf.made.format", format(seed));
        MadeTest made = new MadeTest(seed, language, format);
        byte[] bytes = made.bytes();
        Optional<Source> key = made.keyBytes().isPresent()
                ? Optional.of(new Intake().read(made.keyName(), made.keyBytes().get()))
                : Optional.empty();
        Reading reading = new Reader().read(new Intake().read(made.fileName(), bytes), Pins.NONE, key);
        String read = Shown.tidy(Shown.questions(reading));
        keep(language + seed, made.habits(), made.text(), made.expected(), reading);
        keep(language + seed + made.fileName().replaceFirst(".*\\.", "."), bytes);
        assertThat(read).as("%s%n%s", made.habits(), made.text()).isEqualTo(made.expected());
        assertThat(reading.snags()).allMatch(snag -> snag.kind().equals("missing-key"));
        assertThat(reading.questions()).allMatch(question -> question.doubt() < 0.3);
        assertThat(reading.questions()).extracting(HabitsTogetherTest::pictures).isEqualTo(made.pictures());
        assertThat(reading.sections())
                .extracting(section -> section.instructions().plain())
                .isEqualTo(made.instructions());
    }

    /** For whoever looks into what failed. */
    private static void keep(String name, String habits, String page, String wanted, Reading reading)
            throws IOException {
        String folder = System.getProperty("tidyleaf.made.folder", "");
        if (folder.isEmpty()) {
            return;
        }
        Path to = Files.createDirectories(Path.of(folder));
        Files.writeString(to.resolve(name + ".habits"), habits);
        Files.writeString(to.resolve(name + ".page"), page);
        Files.writeString(to.resolve(name + ".want"), wanted);
        Files.writeString(to.resolve(name + ".got"), Shown.tidy(Shown.questions(reading)));
        List<String> doubts = reading.questions().stream()
                .map(question -> String.format(Locale.ROOT, "%.2f", question.doubt()))
                .toList();
        Files.writeString(to.resolve(name + ".snags"), reading.snags() + "\n" + doubts);
    }

    private static void keep(String name, byte[] file) throws IOException {
        String folder = System.getProperty("tidyleaf.made.folder", "");
        if (!folder.isEmpty()) {
            Files.write(Path.of(folder).resolve(name), file);
        }
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void questionsWithoutNumbersAreTold(String language, long seed) throws IntakeException, IOException {
        String format = format(seed);
        MadeWithoutNumbers made = new MadeWithoutNumbers(seed, language, format);
        Source source = new Intake().read(made.fileName(), made.bytes());
        Reading reading = new Reader().read(source, Pins.NONE, Optional.empty());
        String read = Shown.tidy(Shown.questions(reading));
        keep("bare-" + language + seed, made.habits(), made.text(), made.expected(), reading);
        keep("bare-" + language + seed + made.fileName().replaceFirst(".*\\.", "."), made.bytes());
        assertThat(read).as("%s%n%s", made.habits(), made.text()).isEqualTo(made.expected());
        assertThat(reading.snags()).allMatch(snag -> snag.kind().equals("missing-key"));
        assertThat(reading.questions()).allMatch(question -> question.doubt() < 0.4);
    }

    static Stream<Arguments> markedTests() {
        return tests().filter(drawn -> {
            String language = (String) drawn.get()[0];
            long seed = (Long) drawn.get()[1];
            return new MadeTest(seed, language, format(seed))
                    .bytesWithoutMarks()
                    .isPresent();
        });
    }

    private static String format(long seed) {
        return FORMATS.get((int) (seed % FORMATS.size()));
    }

    @ParameterizedTest
    @MethodSource("markedTests")
    void aMarkedCopyIsAKey(String language, long seed) throws IntakeException, IOException {
        String format = format(seed);
        MadeTest made = new MadeTest(seed, language, format);
        byte[] plain = made.bytesWithoutMarks().orElseThrow();
        Source copy = new Intake().read("copy" + made.fileName(), made.bytes());
        Reading reading = new Reader().read(new Intake().read(made.fileName(), plain), Pins.NONE, Optional.of(copy));
        String read = Shown.tidy(Shown.questions(reading));
        keep("copy-" + language + seed, made.habits(), made.text(), made.expected(), reading);
        keep("copy-" + language + seed + made.fileName().replaceFirst(".*\\.", "."), plain);
        assertThat(read).as("%s%n%s", made.habits(), made.text()).isEqualTo(made.expected());
    }

    static Stream<Arguments> drawn() {
        return sheets().flatMap(drawn -> {
            String language = (String) drawn.get()[0];
            long seed = (Long) drawn.get()[1];
            String format = format(seed);
            return Stream.of(
                            new MadeExercises(seed, language, format),
                            new MadeTables(seed, language, format),
                            new MadeOneTable(seed, language, format),
                            new MadeBlocks(seed, language, format),
                            new MadeKeyFile(seed, language, format),
                            new MadeParts(seed, language, format),
                            new MadePassages(seed, language, format),
                            new MadeTasks(seed, language, format),
                            new MadeChat(seed, language),
                            new MadeWord(seed, language),
                            new MadeWeb(seed, language))
                    .filter(made -> made.getClass().getSimpleName().matches(KIND))
                    .map(made -> Arguments.of(made.getClass().getSimpleName() + "-" + language + seed, made));
        });
    }

    /** Exercises that each keep their form, questions in tables, papers in one table, pairs and steps and banks, keys, chats. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("drawn")
    void everyKindOfPaperIsTold(String name, Drawn made) throws IntakeException, IOException {
        byte[] bytes = made.bytes();
        Optional<Source> key = made.key().isPresent()
                ? Optional.of(new Intake()
                        .read(made.key().get().name(), made.key().get().bytes()))
                : Optional.empty();
        Reading reading = new Reader().read(new Intake().read(made.fileName(), bytes), Pins.NONE, key);
        String read = Shown.tidy(Shown.questions(reading));
        keep(name, made.habits(), made.text(), made.expected(), reading);
        keep(name + made.fileName().replaceFirst(".*\\.", "."), bytes);
        assertThat(read).as("%s%n%s", made.habits(), made.text()).isEqualTo(made.expected());
        assertThat(reading.snags()).allMatch(snag -> snag.kind().equals("missing-key"));
        assertThat(reading.questions()).allMatch(question -> question.doubt() < 0.3);
    }

    static Stream<Arguments> sheets() {
        int most = Integer.getInteger("tidyleaf.made", 150) / 8;
        return Stream.of("en", "de", "fr", "es", "it", "pt", "nl", "pl")
                .flatMap(language -> LongStream.range(0, most).mapToObj(seed -> Arguments.of(language, seed)));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void aSheetIsReadByItsHeads(String language, long seed) throws IntakeException, IOException {
        MadeSheet made = new MadeSheet(seed, language);
        boolean table = seed % 3 == 0;
        byte[] bytes = table ? made.docx() : made.csv();
        Source source = new Intake().read(table ? "sheet.docx" : "sheet.csv", bytes);
        Reading reading = new Reader().read(source, Pins.NONE, Optional.empty());
        String read = Shown.tidy(Shown.questions(reading));
        keep(
                "sheet-" + language + seed,
                made.habits(),
                new String(made.csv(), StandardCharsets.UTF_8),
                made.expected(),
                reading);
        assertThat(read).as("%s", made.habits()).isEqualTo(made.expected());
        assertThat(reading.snags()).isEmpty();
        assertThat(reading.questions()).allMatch(question -> question.doubt() < 0.3);
    }

    private static int pictures(ReadQuestion read) {
        return (int) read.question().particulars().stem().parts().stream()
                .filter(Inline.Picture.class::isInstance)
                .count();
    }
}
