package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.made.Page.Look;

/**
 * A plain test and its answers at its end or in a file of their own, in a form that is drawn: lines, rows, tables, a sheet, letters
 * alone; and what is to be understood of both, as {@code Shown} in the package above shows a reading.
 */
public final class MadeKeyFile extends Drawn {

    private static final int FEWEST = 2;
    private static final int ROW = 5;

    private enum Form {
        LINES,
        LINES_BY_PART,
        QUESTION_LINES,
        WITH_TEXT,
        TEXT_ONLY,
        ONE_ROW,
        ROWS,
        TABLE,
        TABLE_WITH_POINTS,
        TABLE_WITH_REASONS,
        TABLE_ABREAST,
        TABLE_LYING,
        MARK_SCHEME,
        SHEET,
        SHEET_WITHOUT_HEADS,
        LETTERS,
        RANGE_OF_LETTERS
    }

    /** An answer: what is written for it, the words of the option it names, and why it is right. */
    private record Answer(int number, String words, String option, String why, boolean choice) {}

    private final Form form;
    private final boolean headed;
    private final boolean inside;
    private final boolean small;
    private final boolean parts;
    private final boolean restart;
    private final String sign;
    private final String ending;
    private final Page key = new Page();
    private final StringBuilder sheet = new StringBuilder();
    private final List<String> partHeads = new ArrayList<>();
    private final List<List<Answer>> answers = new ArrayList<>();

    public MadeKeyFile(long seed, String languageCode, String format) {
        super(seed, languageCode, 0x8EBC6AF09C88C6E3L);
        form = one(Form.values());
        inside = !isSheet() && random.nextInt(3) == 0;
        headed = inside || random.nextInt(3) > 0;
        small = random.nextInt(4) == 0;
        parts = form == Form.LINES_BY_PART || random.nextBoolean();
        restart = form == Form.LINES_BY_PART;
        sign = one(new String[] {". ", ") ", " - ", ": ", "\t"});
        write();
        writeKey();
        if (inside) {
            page.blank();
            page.blocks().addAll(key.blocks());
        }
        ending = format;
    }

    @Override
    public String habits() {
        return form + (inside ? " inside" : "") + (headed ? " headed" : "") + (small ? " small" : "")
                + (parts ? " parts" : "") + " '" + sign + "' " + ending;
    }

    @Override
    public String text() {
        return inside ? page.text() : page.text() + "\n--- " + keyName() + "\n" + (isSheet() ? sheet : key.text());
    }

    @Override
    String ending() {
        return ending;
    }

    private String keyName() {
        return "key." + (isSheet() ? "csv" : keyEnding());
    }

    private boolean isSheet() {
        return form == Form.SHEET || form == Form.SHEET_WITHOUT_HEADS;
    }

    private String keyEnding() {
        return key.isPlain() && author % 3 == 0 ? "txt" : ending;
    }

    @Override
    public Optional<KeyFile> key() {
        byte[] bytes = isSheet()
                ? sheet.toString().getBytes(StandardCharsets.UTF_8)
                : key.saved(keyEnding(), key.text(), false);
        return inside ? Optional.empty() : Optional.of(new KeyFile(keyName(), bytes));
    }

    private void write() {
        page.line("Keeping Bees: review", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part(
                        "True or false",
                        "Are these statements true or false?",
                        5,
                        language.statements(),
                        this::statements),
                () -> part("Complete the sentences", "Write one word in each gap.", 4, language.gaps(), this::gaps),
                () -> part("Short answers", "Answer in a word or two.", 3, language.asked(), this::asked),
                () -> part("Calculate", "Give the unit as well.", 3, language.numbers(), this::numbers)));
        Collections.shuffle(all, random);
        boolean lettersOnly = form == Form.LETTERS || form == Form.RANGE_OF_LETTERS;
        all = new ArrayList<>(all.subList(0, lettersOnly ? 0 : 1 + random.nextInt(3)));
        all.add(
                random.nextInt(all.size() + 1),
                () -> part("Multiple choice", "Choose the best answer.", 7, language.choices(), this::choices));
        all.forEach(Runnable::run);
    }

    private <T> void part(String title, String told, int most, List<T> content, Consumer<T> type) {
        List<T> items = some(content, FEWEST + 1, most);
        page.blank();
        if (parts) {
            String letter = String.valueOf((char) ('A' + answers.size()));
            String head = say("Part") + " " + letter + ": " + say(title);
            partHeads.add(say("Part") + " " + letter);
            page.line(head, Look.BOLD);
            page.line(say(told));
            expected.append("== ").append(head).append('\n');
        }
        if (restart) {
            number = 0;
        }
        answers.add(new ArrayList<>());
        items.forEach(type);
    }

    private void stem(String words) {
        number++;
        page.line(number + ". " + words);
    }

    private void answer(Answer answer) {
        answers.get(answers.size() - 1).add(answer);
    }

    private void choices(Content.Choice choice) {
        stem(choice.stem());
        int right = choice.right().iterator().next();
        for (int i = 0; i < choice.options().size(); i++) {
            page.line((char) ((small ? 'a' : 'A') + i) + ") " + choice.options().get(i));
        }
        String letter = String.valueOf((char) ('A' + right));
        answer(new Answer(number, letter, choice.options().get(right), choice.why(), true));
        expect("single-choice", choice.stem(), offered(choice, true));
    }

    private void statements(Content.Statement statement) {
        stem(statement.text() + "   " + say("True") + " / " + say("False"));
        boolean right = statement.right();
        answer(new Answer(
                number,
                form == Form.ROWS ? say(right ? "T" : "F") : say(right ? "True" : "False"),
                "",
                statement.why() == null ? "" : statement.why(),
                false));
        expect("true-false", statement.text(), judged(true, right));
    }

    private void gaps(Content.Asked asked) {
        stem(asked.text().replace("_", "________"));
        written(
                "text-entry",
                asked.text().replace("_", "[[1]]"),
                asked.accepted().get(0));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        page.line("______________________________");
        written("text-entry", asked.text(), asked.accepted().get(0));
    }

    private void numbers(Content.Number asked) {
        stem(asked.text());
        page.line(say("Answer") + ": ______________ " + asked.unit());
        written("numeric-entry", asked.text(), asked.value() + " " + asked.unit());
    }

    private void written(String type, String stem, String words) {
        answer(new Answer(number, words, "", "", false));
        expect(type, stem, "\n    = " + words);
    }

    private void writeKey() {
        if (headed && !inside) {
            key.line("Wrenfield Evening College");
            key.line("Keeping Bees: review", Look.BOLD);
        }
        boolean bare = form == Form.LETTERS || form == Form.RANGE_OF_LETTERS;
        if (headed || !bare && random.nextBoolean()) {
            key.line(say("Answer key"), Look.BOLD);
        }
        List<Answer> all = answers.stream().flatMap(List::stream).toList();
        switch (form) {
            case LINES -> all.forEach(answer -> key.line(answer.number() + sign + answer.words()));
            case QUESTION_LINES ->
                all.forEach(answer -> key.line(say("Question") + " " + answer.number() + ": " + answer.words()));
            case WITH_TEXT ->
                all.forEach(answer -> key.line(answer.number()
                        + behind()
                        + (answer.choice() ? answer.words() + ") " + answer.option() : answer.words())));
            case TEXT_ONLY ->
                all.forEach(answer ->
                        key.line(answer.number() + behind() + (answer.choice() ? answer.option() : answer.words())));
            case LINES_BY_PART -> {
                for (int i = 0; i < answers.size(); i++) {
                    key.line(partHeads.get(i), Look.BOLD);
                    answers.get(i).forEach(answer -> key.line(answer.number() + sign + answer.words()));
                }
            }
            case ONE_ROW -> inRows(all, all.size());
            case ROWS -> inRows(all, ROW);
            case LETTERS -> key.line(all.stream().map(Answer::words).collect(Collectors.joining()));
            case RANGE_OF_LETTERS -> {
                for (List<Answer> some : blocks(all)) {
                    key.line(some.get(0).number() + "\u2013"
                            + some.get(some.size() - 1).number() + ": "
                            + some.stream().map(Answer::words).collect(Collectors.joining()));
                }
            }
            case SHEET, SHEET_WITHOUT_HEADS -> {
                if (form == Form.SHEET) {
                    sheet.append(say("Question"))
                            .append(';')
                            .append(say("Answer"))
                            .append("\r\n");
                }
                all.forEach(answer -> sheet.append(answer.number())
                        .append(';')
                        .append(answer.words())
                        .append("\r\n"));
            }
            case TABLE_LYING -> {
                for (List<Answer> some : blocks(all)) {
                    key.table(List.of(
                            some.stream()
                                    .map(answer -> String.valueOf(answer.number()))
                                    .toList(),
                            some.stream().map(Answer::words).toList()));
                    key.blank();
                }
            }
            case TABLE_ABREAST -> {
                int half = (all.size() + 1) / 2;
                key.table(IntStream.range(0, half)
                        .mapToObj(i -> List.of(
                                String.valueOf(all.get(i).number()),
                                all.get(i).words(),
                                half + i < all.size()
                                        ? String.valueOf(all.get(half + i).number())
                                        : "",
                                half + i < all.size() ? all.get(half + i).words() : ""))
                        .toList());
            }
            default -> inTable(all);
        }
    }

    /** Of one answer alone nobody makes a block. */
    private static List<List<Answer>> blocks(List<Answer> all) {
        List<List<Answer>> blocks = new ArrayList<>();
        for (int from = 0; from < all.size(); from += ROW) {
            boolean last = all.size() - from <= ROW + 1;
            blocks.add(all.subList(from, last ? all.size() : from + ROW));
            from += last ? ROW : 0;
        }
        return blocks;
    }

    private String behind() {
        return sign.equals("\t") ? ". " : sign;
    }

    private void inRows(List<Answer> all, int most) {
        for (int from = 0; from < all.size(); from += most) {
            key.line(all.subList(from, Math.min(all.size(), from + most)).stream()
                    .map(answer ->
                            answer.number() + (sign.equals(". ") || sign.equals(") ") ? sign : ". ") + answer.words())
                    .collect(Collectors.joining("   ")));
        }
    }

    private void inTable(List<Answer> all) {
        List<List<String>> rows = new ArrayList<>();
        List<String> heads = new ArrayList<>(List.of(say("Question"), say("Answer")));
        switch (form) {
            case TABLE_WITH_POINTS -> heads.add(say("Points"));
            case TABLE_WITH_REASONS -> heads.add(say("Explanation"));
            case MARK_SCHEME -> heads.addAll(List.of(say("Points"), say("Explanation")));
            default -> {}
        }
        rows.add(heads);
        for (Answer answer : all) {
            List<String> row = new ArrayList<>(List.of(String.valueOf(answer.number()), answer.words()));
            if (form == Form.TABLE_WITH_POINTS || form == Form.MARK_SCHEME) {
                row.add("2");
            }
            if (form == Form.TABLE_WITH_REASONS || form == Form.MARK_SCHEME) {
                row.add(answer.why());
            }
            rows.add(row);
        }
        key.table(rows);
    }
}
