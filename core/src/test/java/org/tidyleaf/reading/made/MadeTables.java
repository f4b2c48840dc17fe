package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.tidyleaf.reading.made.Page.Cell;
import org.tidyleaf.reading.made.Page.Look;

/**
 * A paper whose author keeps the questions in tables: a row for each, a table for each, options in rows of their own, statements with
 * columns to tick, pairs in two columns; and what is to be understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeTables extends Drawn {

    private static final int FEWEST = 2;

    private enum Key {
        NONE,
        MARKED,
        COLUMN,
        LIST,
        LIST_TABLE
    }

    /** How a question with options stands in its table. */
    private enum Item {
        ONE_CELL,
        ROWS_BELOW,
        LETTER_ROWS,
        FORM,
        BOXED_ROWS,
        SQUARE
    }

    private enum Judged {
        TICK_COLUMNS,
        WORDS_IN_CELL,
        BLANK_COLUMN,
        LETTERS_IN_COLUMNS
    }

    private record Answer(int number, String words) {}

    /** @param room what is printed where the answer goes */
    private record Written(String text, String answer, String room) {}

    private final Key key;
    private final Item item;
    private final Judged judged;
    private final Look look;
    private final boolean heads;
    private final boolean parts;
    private final boolean points;
    private final String behindNumber;
    private final String ending;
    private final List<Answer> answers = new ArrayList<>();
    private int part;

    public MadeTables(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xA0761D6478BD642FL);
        key = one(Key.values());
        item = one(Item.values());
        Judged drawn = one(Judged.values());
        look = one(new Look[] {Look.BOLD, Look.RED, Look.YELLOW});
        heads = random.nextBoolean();
        parts = random.nextInt(3) > 0;
        // Somebody must say what is to be written there.
        judged = drawn == Judged.BLANK_COLUMN && !parts ? Judged.TICK_COLUMNS : drawn;
        points = random.nextInt(3) == 0;
        behindNumber = one(new String[] {"", ".", ")"});
        write();
        ending = format;
    }

    @Override
    public String habits() {
        return item + " " + judged + " " + key + (key == Key.MARKED ? " " + look : "") + (heads ? " heads" : "")
                + (parts ? " parts" : "") + (points ? " points" : "") + " '" + behindNumber + "' " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: review", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part("Multiple choice", "Choose the best answer.", 5, language.choices(), this::choices),
                () -> part("True or false", judgingWords(), 5, language.statements(), this::statements),
                () -> part("Complete the sentences", "Write one word in each gap.", 4, language.gaps(), this::gaps),
                () -> part("Short answers", "Answer in a word or two.", 3, language.asked(), this::asked),
                () -> part("Calculate", "Give the unit as well.", 3, language.numbers(), this::numbers),
                () -> part("Matching", "", 1, language.pairs(), this::pairs)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(3)).forEach(Runnable::run);
        if (!answers.isEmpty()) {
            answerList();
        }
    }

    private <T> void part(String title, String told, int most, List<T> content, Consumer<List<T>> type) {
        if (content == null) {
            return;
        }
        List<T> items = some(content, FEWEST, most);
        page.blank();
        if (parts) {
            String head = say("Part") + " " + (char) ('A' + part++) + ": " + say(title);
            page.line(head, Look.BOLD);
            if (!told.isEmpty()) {
                page.line(say(told));
            }
            expected.append("== ").append(head).append('\n');
        }
        type.accept(items);
    }

    private String judgingWords() {
        return switch (judged) {
            case BLANK_COLUMN -> "Write T for true or F for false on each line.";
            case LETTERS_IN_COLUMNS -> "Circle T or F.";
            default -> "Are these statements true or false?";
        };
    }

    private boolean listed() {
        return key == Key.LIST || key == Key.LIST_TABLE;
    }

    private boolean told() {
        return key != Key.NONE;
    }

    private Cell numbered() {
        number++;
        return Cell.of(number + behindNumber);
    }

    @Override
    void expect(String type, String stem, String rest) {
        expected.append(number)
                .append(' ')
                .append(type)
                .append(points ? " 2p " : " ")
                .append(stem)
                .append(rest)
                .append('\n');
    }

    private void answer(String words) {
        if (listed()) {
            answers.add(new Answer(number, words));
        }
    }

    private Look keyLook(boolean right) {
        return right && key == Key.MARKED ? look : Look.PLAIN;
    }

    /** What stands at the end of a question's row: the answer, the points. */
    private void ended(List<Cell> row, String answer) {
        if (key == Key.COLUMN) {
            row.add(Cell.of(answer));
        }
        if (points) {
            row.add(Cell.of("2"));
        }
    }

    private void headed(List<List<Cell>> rows, String what, String... more) {
        if (!heads && key != Key.COLUMN && !points) {
            return;
        }
        List<Cell> head = new ArrayList<>();
        head.add(bold(say("Number")));
        head.add(bold(say(what)));
        for (String word : more) {
            head.add(bold(say(word)));
        }
        if (key == Key.COLUMN) {
            head.add(bold(say("Answer")));
        }
        if (points) {
            head.add(bold(say("Points")));
        }
        rows.add(head);
    }

    private static Cell bold(String words) {
        return Cell.of(words, Look.BOLD);
    }

    private void choices(List<Content.Choice> all) {
        String behind = random.nextBoolean() ? ") " : ". ";
        List<List<Cell>> rows = new ArrayList<>();
        if (item == Item.ONE_CELL || item == Item.LETTER_ROWS || item == Item.ROWS_BELOW) {
            headed(rows, "Question");
        }
        for (Content.Choice choice : all) {
            Cell label = numbered();
            switch (item) {
                case ONE_CELL -> rows.add(inOneCell(choice, label, behind));
                case ROWS_BELOW, LETTER_ROWS -> rows.addAll(inRows(choice, label, behind));
                case FORM -> form(choice, behind);
                case SQUARE -> square(choice, behind);
                case BOXED_ROWS -> boxes(choice);
            }
            answer(letter(choice));
            expect("single-choice", choice.stem(), offered(choice, told()));
        }
        if (!rows.isEmpty()) {
            page.cells(rows);
        }
    }

    private static boolean isRight(Content.Choice choice, int option) {
        return choice.right().contains(option);
    }

    private static String letter(Content.Choice choice) {
        return String.valueOf((char) ('A' + choice.right().iterator().next()));
    }

    /** @param label what is printed before it, empty where that stands elsewhere */
    private Cell option(Content.Choice choice, int place, String label) {
        return Cell.of(label + choice.options().get(place), keyLook(isRight(choice, place)));
    }

    private List<Cell> lettered(Content.Choice choice, String behind) {
        return IntStream.range(0, choice.options().size())
                .mapToObj(i -> option(choice, i, (char) ('A' + i) + behind))
                .toList();
    }

    private List<Cell> inOneCell(Content.Choice choice, Cell label, String behind) {
        List<Page.Words> lines = new ArrayList<>();
        lines.add(new Page.Words(choice.stem(), Look.PLAIN));
        lettered(choice, behind).forEach(option -> lines.addAll(option.lines()));
        List<Cell> row = new ArrayList<>(List.of(label, new Cell(lines)));
        ended(row, letter(choice));
        return row;
    }

    private List<List<Cell>> inRows(Content.Choice choice, Cell label, String behind) {
        List<List<Cell>> rows = new ArrayList<>();
        List<Cell> row = new ArrayList<>(List.of(label, Cell.of(choice.stem())));
        ended(row, letter(choice));
        rows.add(row);
        boolean apart = item == Item.LETTER_ROWS;
        for (int i = 0; i < choice.options().size(); i++) {
            String letter = (char) ('A' + i) + behind;
            List<Cell> below = new ArrayList<>(
                    List.of(Cell.of(apart ? letter.strip() : ""), option(choice, i, apart ? "" : letter)));
            while (below.size() < row.size()) {
                below.add(Cell.of(""));
            }
            rows.add(below);
        }
        return rows;
    }

    private void form(Content.Choice choice, String behind) {
        List<List<Cell>> form = new ArrayList<>();
        form.add(List.of(bold(say("Question") + " " + number), Cell.of(choice.stem())));
        for (int i = 0; i < choice.options().size(); i++) {
            form.add(List.of(Cell.of((char) ('A' + i) + behind.strip()), option(choice, i, "")));
        }
        if (key == Key.COLUMN) {
            form.add(List.of(bold(say("Correct answer")), Cell.of(letter(choice))));
        }
        if (points) {
            form.add(List.of(bold(say("Points")), Cell.of("2")));
        }
        page.cells(form);
        page.blank();
    }

    private void stemAbove(String stem) {
        page.line(number + (behindNumber.isEmpty() ? "." : behindNumber) + " " + stem
                + (points ? " (2 " + say("points") + ")" : ""));
    }

    private void square(Content.Choice choice, String behind) {
        stemAbove(choice.stem());
        List<Cell> options = lettered(choice, behind);
        page.cells(List.of(options.subList(0, 2), options.subList(2, options.size())));
        if (key == Key.COLUMN) {
            page.line(say("Answer") + ": " + letter(choice));
        }
    }

    private void boxes(Content.Choice choice) {
        stemAbove(choice.stem());
        page.cells(IntStream.range(0, choice.options().size())
                .mapToObj(i -> List.of(
                        Cell.of(key == Key.COLUMN && isRight(choice, i) ? "\u2612" : "\u2610"), option(choice, i, "")))
                .toList());
    }

    private void statements(List<Content.Statement> all) {
        String yes = say("True");
        String no = say("False");
        List<List<Cell>> rows = new ArrayList<>();
        boolean columns = judged == Judged.TICK_COLUMNS;
        if (columns) {
            List<Cell> head = new ArrayList<>(List.of(bold(""), bold(""), bold(yes), bold(no)));
            if (points) {
                head.add(bold(say("Points")));
            }
            rows.add(head);
        } else {
            switch (judged) {
                case LETTERS_IN_COLUMNS -> {
                    if (points || key == Key.COLUMN) {
                        headed(rows, "Statement", "", "");
                    }
                }
                default -> {
                    if (points || key == Key.COLUMN) {
                        headed(rows, "Statement", "");
                    }
                }
            }
        }
        String mark = one(new String[] {"X", "\u2713", "x"});
        for (Content.Statement statement : all) {
            boolean right = statement.right();
            List<Cell> row = new ArrayList<>();
            row.add(numbered());
            row.add(Cell.of(statement.text()));
            String word = right ? yes : no;
            boolean keyed = listed() || key == Key.COLUMN || key == Key.MARKED && judged != Judged.BLANK_COLUMN;
            switch (judged) {
                case TICK_COLUMNS -> {
                    boolean ticked = key == Key.COLUMN || key == Key.MARKED;
                    row.add(Cell.of(ticked && right ? mark : ""));
                    row.add(Cell.of(ticked && !right ? mark : ""));
                    if (points) {
                        row.add(Cell.of("2"));
                    }
                }
                case WORDS_IN_CELL -> {
                    if (key == Key.MARKED) {
                        row.add(Cell.of(word, look));
                    } else {
                        row.add(Cell.of(yes + " / " + no));
                    }
                    ended(row, word);
                }
                case LETTERS_IN_COLUMNS -> {
                    row.add(Cell.of(say("T"), keyLook(right)));
                    row.add(Cell.of(say("F"), keyLook(!right)));
                    ended(row, say(right ? "T" : "F"));
                }
                case BLANK_COLUMN -> {
                    row.add(Cell.of(""));
                    ended(row, say(right ? "T" : "F"));
                }
            }
            rows.add(row);
            answer(say(right ? "T" : "F"));
            expect("true-false", statement.text(), judged(keyed, right));
        }
        page.cells(rows);
    }

    private void gaps(List<Content.Asked> all) {
        List<List<Cell>> rows = new ArrayList<>();
        headed(rows, "Question");
        for (Content.Asked asked : all) {
            List<Cell> row = new ArrayList<>();
            row.add(numbered());
            row.add(Cell.of(asked.text().replace("_", "________")));
            String word = asked.accepted().get(0);
            ended(row, word);
            rows.add(row);
            answer(word);
            expect("text-entry", asked.text().replace("_", "[[1]]"), keyed(word));
        }
        page.cells(rows);
    }

    private String keyed(String words) {
        return listed() || key == Key.COLUMN ? "\n    = " + words : "";
    }

    private void asked(List<Content.Asked> all) {
        written(
                all.stream()
                        .map(asked -> new Written(asked.text(), asked.accepted().get(0), ""))
                        .toList(),
                "text-entry");
    }

    private void numbers(List<Content.Number> all) {
        written(
                all.stream()
                        .map(asked ->
                                new Written(asked.text(), asked.value() + " " + asked.unit(), "______ " + asked.unit()))
                        .toList(),
                "numeric-entry");
    }

    /** With a column to write in, or with the answer in it. */
    private void written(List<Written> all, String type) {
        List<List<Cell>> rows = new ArrayList<>();
        boolean room = key != Key.COLUMN;
        if (room) {
            headed(rows, "Question", "Answer");
        } else {
            headed(rows, "Question");
        }
        for (Written asked : all) {
            List<Cell> row = new ArrayList<>();
            row.add(numbered());
            row.add(Cell.of(asked.text()));
            if (room) {
                row.add(Cell.of(asked.room()));
            }
            ended(row, asked.answer());
            rows.add(row);
            answer(asked.answer());
            expect(type, asked.text(), keyed(asked.answer()));
        }
        page.cells(rows);
    }

    private void pairs(List<Content.Pairs> all) {
        Content.Pairs pairs = all.get(0);
        number++;
        stemAbove(pairs.stem());
        List<List<Cell>> rows = new ArrayList<>();
        int form = random.nextInt(3);
        for (int i = 0; i < pairs.rights().size(); i++) {
            boolean left = i < pairs.lefts().size();
            List<Cell> row = new ArrayList<>();
            row.add(Cell.of(
                    left ? (form == 0 ? "" : (i + 1) + ". ") + pairs.lefts().get(i) : ""));
            if (form == 2) {
                row.add(Cell.of(left ? "____" : ""));
            }
            row.add(Cell.of(
                    (form == 0 ? "" : (char) ('a' + i) + ". ") + pairs.rights().get(i)));
            rows.add(row);
        }
        page.cells(rows);
        boolean keyed = form > 0 && (listed() || key == Key.COLUMN);
        StringBuilder rest = new StringBuilder();
        List<String> typed = new ArrayList<>();
        for (int i = 0; i < pairs.lefts().size(); i++) {
            typed.add((i + 1) + "-" + (char) ('a' + pairs.key().get(i)));
            rest.append("\n    = ")
                    .append(pairs.lefts().get(i))
                    .append(" = ")
                    .append(pairs.rights().get(pairs.key().get(i)));
        }
        if (keyed && key == Key.COLUMN) {
            page.line(say("Answer") + ": " + String.join(", ", typed));
        } else if (keyed) {
            answer(String.join(", ", typed));
        }
        expect("match", pairs.stem(), keyed ? rest.toString() : "");
    }

    private void answerList() {
        page.blank();
        page.line(say("Answer key"), Look.BOLD);
        if (key == Key.LIST) {
            answers.forEach(answer -> page.line(answer.number() + ". " + answer.words()));
            return;
        }
        List<List<Cell>> rows = new ArrayList<>();
        rows.add(List.of(bold(say("Question")), bold(say("Answer"))));
        answers.forEach(answer -> rows.add(List.of(Cell.of(String.valueOf(answer.number())), Cell.of(answer.words()))));
        page.cells(rows);
    }
}
