package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.tidyleaf.reading.made.Page.Cell;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * A paper in a single table with columns for numbers, questions and marks, the heads of its parts in rows between; and what is to be
 * understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeOneTable extends Drawn {

    private static final int FEWEST = 2;

    /** Where the head of a part stands in its row. */
    private enum Head {
        OVER_ALL,
        SECOND_CELL,
        FIRST_CELL
    }

    private enum Options {
        IN_CELL,
        ROWS,
        ONE_LINE
    }

    private enum Key {
        NONE,
        MARKED,
        LIST
    }

    private final Head head;
    private final Options layout;
    private final Key key;
    private final Look look;
    private final boolean heads;
    private final boolean marks;
    private final boolean room;
    private final boolean total;
    private final boolean told;
    private final String behindNumber;
    private final String ending;
    private final List<List<Cell>> rows = new ArrayList<>();
    private final List<String> answers = new ArrayList<>();
    private int part;
    private int worth;

    public MadeOneTable(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xE7037ED1A0B428DBL);
        head = one(Head.values());
        layout = one(Options.values());
        key = one(Key.values());
        look = one(new Look[] {Look.BOLD, Look.RED, Look.YELLOW, Look.UNDERLINED});
        heads = random.nextInt(3) > 0;
        marks = random.nextInt(3) > 0;
        room = !marks && random.nextBoolean();
        total = marks && random.nextBoolean();
        told = random.nextBoolean();
        behindNumber = one(new String[] {"", ".", ")"});
        ending = format;
        write();
    }

    @Override
    public String habits() {
        return head + " " + layout + " " + key + (key == Key.MARKED ? " " + look : "") + (heads ? " heads" : "")
                + (marks ? " marks" : "") + (room ? " room" : "") + (total ? " total" : "") + (told ? " told" : "")
                + " '" + behindNumber + "' " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private int columns() {
        return marks || room ? 3 : 2;
    }

    private void write() {
        page.line("Keeping Bees: review", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        if (heads) {
            List<Cell> row = new ArrayList<>(List.of(bold(say("Number")), bold(say("Question"))));
            if (columns() == 3) {
                row.add(bold(say(marks ? "Points" : "Answer")));
            }
            rows.add(row);
        }
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part("Multiple choice", "Choose the best answer.", 5, language.choices(), this::choices),
                () -> part("True or false", "Circle T or F.", 5, language.statements(), this::statements),
                () -> part("Complete the sentences", "Write one word in each gap.", 4, language.gaps(), this::gaps),
                () -> part("Short answers", "Answer in a word or two.", 3, language.asked(), this::asked),
                () -> part("Essay questions", "Answer in full sentences.", 2, language.essays(), this::essays)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(3)).forEach(Runnable::run);
        if (total) {
            rows.add(List.of(Cell.of(""), bold("Total"), bold(String.valueOf(worth))));
        }
        page.cells(rows);
        if (key == Key.LIST) {
            page.blank();
            page.line(say("Answer key"), Look.BOLD);
            answers.forEach(page::line);
        }
    }

    private <T> void part(String title, String directions, int most, List<T> content, Consumer<List<T>> type) {
        List<T> items = some(content, FEWEST, most);
        String words = say("Part") + " " + (char) ('A' + part++) + ": " + say(title);
        List<Words> lines = new ArrayList<>(List.of(new Words(words, Look.BOLD)));
        if (told) {
            lines.add(new Words(say(directions), Look.PLAIN));
        }
        List<Cell> row = new ArrayList<>();
        if (head == Head.SECOND_CELL) {
            row.add(Cell.of(""));
        }
        row.add(new Cell(lines));
        while (head != Head.OVER_ALL && row.size() < columns()) {
            row.add(Cell.of(""));
        }
        rows.add(row);
        expected.append("== ").append(words).append('\n');
        type.accept(items);
    }

    private static Cell bold(String words) {
        return Cell.of(words, Look.BOLD);
    }

    private void row(Cell question) {
        number++;
        List<Cell> row = new ArrayList<>(List.of(Cell.of(number + behindNumber), question));
        if (columns() == 3) {
            row.add(Cell.of(marks ? "2" : ""));
        }
        worth += 2;
        rows.add(row);
    }

    @Override
    void expect(String type, String stem, String rest) {
        expected.append(number).append(' ').append(type).append(marks ? " 2p " : " ");
        expected.append(stem).append(rest).append('\n');
    }

    private String answer(String words) {
        if (key != Key.LIST) {
            return "";
        }
        answers.add(number + ". " + words);
        return "\n    = " + words;
    }

    private Look keyLook(boolean right) {
        return right && key == Key.MARKED ? look : Look.PLAIN;
    }

    private void choices(List<Content.Choice> all) {
        for (Content.Choice choice : all) {
            int right = choice.right().iterator().next();
            List<Words> options = new ArrayList<>();
            for (int i = 0; i < choice.options().size(); i++) {
                options.add(new Words((char) ('A' + i) + ") " + choice.options().get(i), keyLook(i == right)));
            }
            Words stem = new Words(choice.stem(), Look.PLAIN);
            List<Words> lines = new ArrayList<>(List.of(stem));
            switch (layout) {
                case IN_CELL -> {
                    lines.addAll(options);
                    row(new Cell(lines));
                }
                case ROWS -> {
                    row(new Cell(lines));
                    for (Words option : options) {
                        List<Cell> below = new ArrayList<>(List.of(Cell.of(""), new Cell(List.of(option))));
                        while (below.size() < columns()) {
                            below.add(Cell.of(""));
                        }
                        rows.add(below);
                    }
                }
                case ONE_LINE -> {
                    boolean brief =
                            choice.options().stream().mapToInt(String::length).sum() < 24;
                    if (brief && key != Key.MARKED) {
                        lines.add(new Words(
                                options.stream().map(Words::text).collect(Collectors.joining("    ")), Look.PLAIN));
                    } else {
                        lines.addAll(options);
                    }
                    row(new Cell(lines));
                }
            }
            answer(String.valueOf((char) ('A' + right)));
            expect("single-choice", choice.stem(), offered(choice, key != Key.NONE));
        }
    }

    private void statements(List<Content.Statement> all) {
        String pair = "   (" + say("T") + " / " + say("F") + ")";
        for (Content.Statement statement : all) {
            row(Cell.of(statement.text() + pair));
            boolean right = statement.right();
            boolean keyed = key == Key.LIST;
            answer(say(right ? "T" : "F"));
            expect("true-false", statement.text(), judged(keyed, right));
        }
    }

    private void gaps(List<Content.Asked> all) {
        for (Content.Asked asked : all) {
            row(Cell.of(asked.text().replace("_", "________")));
            expect(
                    "text-entry",
                    asked.text().replace("_", "[[1]]"),
                    answer(asked.accepted().get(0)));
        }
    }

    private void asked(List<Content.Asked> all) {
        for (Content.Asked asked : all) {
            boolean line = !room && key != Key.LIST;
            row(Cell.of(asked.text() + (line ? "\n______________________" : "")));
            expect("text-entry", asked.text(), answer(asked.accepted().get(0)));
        }
    }

    private void essays(List<Content.Asked> all) {
        for (Content.Asked asked : all) {
            row(Cell.of(asked.text() + "\n______________________\n______________________"));
            expect("extended-text", asked.text(), answer(asked.accepted().get(0)));
        }
    }
}
