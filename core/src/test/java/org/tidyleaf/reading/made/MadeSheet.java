package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A sheet or table with a question a row, its columns and their heads drawn, and what is to be understood of it, as {@code Shown}
 * in the package above shows a reading.
 */
public final class MadeSheet {

    private static final int OPTIONS = 4;

    private enum Columns {
        LETTERED,
        NUMBERED,
        IN_ONE_CELL,
        RIGHT_FIRST
    }

    private enum KeyBy {
        LETTER,
        NUMBER,
        TEXT
    }

    private final Language language;
    private final int author;
    private final Random random;
    private final Columns columns;
    private final KeyBy keyBy;
    private final boolean numbered;
    private final boolean pointed;
    private final boolean explained;
    private final boolean labelled;
    private final char delimiter;
    private final String between;
    private final List<List<String>> rows = new ArrayList<>();
    private final StringBuilder expected = new StringBuilder();

    public MadeSheet(long seed, String languageCode) {
        language = Language.of(languageCode);
        author = (int) seed;
        random = new Random(seed * 0x9E3779B97F4A7C15L);
        columns = one(Columns.values());
        keyBy = one(KeyBy.values());
        numbered = random.nextBoolean();
        pointed = random.nextInt(3) == 0;
        explained = random.nextInt(3) == 0;
        labelled = random.nextInt(4) == 0;
        delimiter = ",;\t".charAt(random.nextInt(3));
        between = one(new String[] {" | ", "; ", " / ", ", ", "\n"});
        write();
    }

    private <T> T one(T[] values) {
        return values[random.nextInt(values.length)];
    }

    public String habits() {
        return columns + " " + keyBy + " numbered " + numbered + " pointed " + pointed + " explained " + explained
                + " labelled " + labelled;
    }

    public String expected() {
        return expected.toString().strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    /** The rows as a sheet of text. */
    public byte[] csv() {
        StringBuilder text = new StringBuilder();
        for (List<String> row : rows) {
            text.append(row.stream().map(this::quoted).collect(Collectors.joining(String.valueOf(delimiter))))
                    .append("\r\n");
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    private String quoted(String cell) {
        boolean needed = cell.indexOf(delimiter) >= 0 || cell.indexOf('"') >= 0 || cell.indexOf('\n') >= 0;
        return needed ? '"' + cell.replace("\"", "\"\"") + '"' : cell;
    }

    /** The rows as a table of a word processor. */
    public byte[] docx() {
        Page page = new Page();
        page.table(rows);
        return WordPage.save(page);
    }

    private String say(String english) {
        return language.say(english, author);
    }

    private void write() {
        List<String> heads = new ArrayList<>();
        if (numbered) {
            heads.add(say("Number"));
        }
        heads.add(say("Question"));
        boolean rightFirst = columns == Columns.RIGHT_FIRST;
        if (rightFirst) {
            heads.add(say("Correct answer"));
        }
        switch (columns) {
            case LETTERED -> IntStream.range(0, OPTIONS).forEach(i -> heads.add(say("Option") + " " + letter(i)));
            case NUMBERED -> IntStream.range(0, OPTIONS).forEach(i -> heads.add(say("Option") + " " + (i + 1)));
            case IN_ONE_CELL -> heads.add(say("Options"));
            case RIGHT_FIRST -> IntStream.range(1, OPTIONS).forEach(i -> heads.add(say("Wrong answer") + " " + i));
        }
        if (!rightFirst) {
            heads.add(say("Correct answer"));
        }
        if (pointed) {
            heads.add(say("Points"));
        }
        if (explained) {
            heads.add(say("Explanation"));
        }
        if (labelled) {
            heads.add(say("Topic"));
        }
        rows.add(heads);
        List<Runnable> all = new ArrayList<>();
        language.choices().stream().filter(this::canBeParted).forEach(choice -> all.add(() -> choice(choice)));
        language.asked()
                .forEach(asked ->
                        all.add(() -> written(asked.text(), asked.accepted().get(0), "text-entry")));
        language.numbers()
                .forEach(asked ->
                        all.add(() -> written(asked.text(), asked.value() + " " + asked.unit(), "numeric-entry")));
        if (!rightFirst) {
            language.several().forEach(choice -> all.add(() -> choice(choice)));
        }
        Collections.shuffle(all, random);
        all.subList(0, 6 + random.nextInt(all.size() - 6)).forEach(Runnable::run);
    }

    /** Nobody parts by commas what has commas within. */
    private boolean canBeParted(Content.Choice choice) {
        return columns != Columns.IN_ONE_CELL
                || choice.options().stream().noneMatch(option -> option.contains(between));
    }

    private void choice(Content.Choice choice) {
        List<Integer> right = choice.right().stream().sorted().toList();
        List<String> row = begun(choice.stem());
        if (columns == Columns.RIGHT_FIRST) {
            row.add(choice.options().get(right.get(0)));
            IntStream.range(0, OPTIONS)
                    .filter(i -> i != right.get(0))
                    .forEach(i -> row.add(choice.options().get(i)));
        } else if (columns == Columns.IN_ONE_CELL) {
            row.add(String.join(between, choice.options()));
        } else {
            row.addAll(choice.options());
        }
        if (columns != Columns.RIGHT_FIRST) {
            row.add(right.stream()
                    .map(i -> switch (keyBy) {
                        case LETTER -> letter(i);
                        case NUMBER -> String.valueOf(i + 1);
                        case TEXT -> choice.options().get(i);
                    })
                    .collect(Collectors.joining("; ")));
        }
        ended(row, choice.why());
        expect(right.size() > 1 ? "multiple-choice" : "single-choice", choice.stem());
        List<Integer> order =
                new ArrayList<>(IntStream.range(0, OPTIONS).boxed().toList());
        if (columns == Columns.RIGHT_FIRST) {
            order.remove(right.get(0));
            order.add(0, right.get(0));
        }
        order.forEach(i -> expected.append(right.contains(i) ? "    * " : "    - ")
                .append(choice.options().get(i))
                .append('\n'));
    }

    private void written(String text, String answer, String type) {
        List<String> row = begun(text);
        if (columns == Columns.RIGHT_FIRST) {
            row.add(answer);
            IntStream.range(1, OPTIONS).forEach(i -> row.add(""));
        } else {
            IntStream.range(0, columns == Columns.IN_ONE_CELL ? 1 : OPTIONS).forEach(i -> row.add(""));
            row.add(answer);
        }
        ended(row, "");
        expect(type, text);
        expected.append("    = ").append(answer).append('\n');
    }

    private List<String> begun(String stem) {
        List<String> row = new ArrayList<>();
        if (numbered) {
            row.add(String.valueOf(rows.size()));
        }
        row.add(stem);
        return row;
    }

    private void ended(List<String> row, String why) {
        if (pointed) {
            row.add("2");
        }
        if (explained) {
            row.add(why);
        }
        if (labelled) {
            row.add(say("bees"));
        }
        rows.add(row);
    }

    private void expect(String type, String stem) {
        expected.append(numbered ? String.valueOf(rows.size() - 1) : "")
                .append(' ')
                .append(type);
        expected.append(pointed ? " 2p " : " ").append(stem).append('\n');
    }

    private static String letter(int option) {
        return String.valueOf((char) ('a' + option)).toUpperCase(Locale.ROOT);
    }
}
