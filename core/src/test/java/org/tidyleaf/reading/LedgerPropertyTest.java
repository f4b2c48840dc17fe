package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.source.Layout;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Whatever stands in a document, and whatever is pinned, every line is in the ledger once and in order. */
class LedgerPropertyTest {

    private static final List<Path> PAPERS = papers();

    private static final String[] PARTS = {
        "1. ",
        "12) ",
        "A. ",
        "b) ",
        "(c) ",
        "iv. ",
        "* ",
        "T1A01 (B) ",
        "\u2610 ",
        "Answer: ",
        "Part B ",
        "(2 points) ",
        "Why is this so?",
        "____",
        "True",
        "C",
        "\u202e\u05d0\u05d1",
        "\ud83d\udc1d",
        "Name: ____",
        "~~~~",
        "see A. b) 3.",
        "a long line of words that goes on without any sign of ever coming to an end, as such lines do",
        "\t",
        "[[1]]",
        "\\(x^2\\)",
        "D. ",
        "  ",
        "Hint: ",
        "Questions 3-5 refer to the text.",
        ": ",
        "1.5",
        "-"
    };

    static LongStream seeds() {
        return LongStream.range(0, 120);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyLineIsAccountedForOnce(long seed) {
        Random random = new Random(seed);
        List<Line> lines = new ArrayList<>();
        int count = random.nextInt(40);
        for (int i = 1; i <= count; i++) {
            StringBuilder text = new StringBuilder();
            for (int part = random.nextInt(4); part >= 0; part--) {
                text.append(PARTS[random.nextInt(PARTS.length)]);
            }
            lines.add(new Line(i, text.toString(), 0, List.of(), Layout.plain(0, random.nextInt(2))));
        }
        Map<Integer, Pins.Pin> pins = new HashMap<>();
        for (int i = 0; i < 3 && count > 0; i++) {
            Role role = Role.values()[random.nextInt(Role.values().length)];
            pins.put(1 + random.nextInt(count), new Pins.Pin(role, random.nextInt(4) == 0));
        }
        Map<Segment, Role> words = new HashMap<>();
        if (count > 0 && random.nextBoolean()) {
            Line line = lines.get(random.nextInt(count));
            int from = random.nextInt(line.text().length() + 1);
            int to = from + random.nextInt(line.text().length() - from + 1);
            words.put(new Segment(line.number(), from, to), Role.values()[random.nextInt(Role.values().length)]);
        }
        Reading reading = new Reader().read(new Source("t", "txt", lines, List.of()), new Pins(pins, words));
        assertThat(reading.ledger())
                .extracting(Entry::line)
                .isEqualTo(lines.stream().map(Line::number).toList());
        assertThat(reading.ledger())
                .extracting(Entry::text)
                .isEqualTo(lines.stream().map(Line::text).toList());
        assertThat(reading.ledger())
                .allMatch(e -> e.role() != Role.ASIDE || !e.reason().isEmpty());
    }

    static LongStream mixtures() {
        return LongStream.range(0, Integer.getInteger("mixtures", 120));
    }

    /** Lines of many papers in any order, some of them cut: what no teacher types on purpose still has to be read. */
    @ParameterizedTest
    @MethodSource("mixtures")
    void linesOfManyPapersAreAccountedForOnce(long seed) throws IOException, IntakeException {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        for (int run = 2 + random.nextInt(6); run > 0; run--) {
            List<String> paper = Files.readAllLines(PAPERS.get(random.nextInt(PAPERS.size())));
            int from = random.nextInt(paper.size());
            for (String line : paper.subList(from, Math.min(paper.size(), from + 1 + random.nextInt(8)))) {
                boolean cut = random.nextInt(12) == 0 && line.length() > 2;
                text.append(cut ? line.substring(random.nextInt(line.length())) : line)
                        .append(random.nextInt(5) == 0 ? "\n\n" : "\n");
            }
        }
        Source source = new Intake().read("t.txt", text.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(new Reader().read(source, Pins.NONE).ledger())
                .extracting(Entry::text)
                .isEqualTo(source.lines().stream().map(Line::text).toList());
    }

    private static List<Path> papers() {
        try (Stream<Path> files = Files.list(Path.of("src/test/resources/documents"))) {
            return files.filter(file ->
                            file.toString().endsWith(".md") || file.toString().endsWith(".txt") && isUtf8(file))
                    .sorted()
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static boolean isUtf8(Path file) {
        try {
            return !Files.readString(file).isBlank();
        } catch (IOException otherwise) {
            return false;
        }
    }
}
