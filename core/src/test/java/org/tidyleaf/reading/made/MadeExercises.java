package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * A paper of several exercises, each typed in a form of its own: what heads it, how its items are counted, how they are answered, and
 * answers by exercise at the end perhaps; and what is to be understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeExercises extends Drawn {

    private static final int FEWEST = 2;
    private static final int WIDEST_ROW = 60;

    /** How an exercise is named: a word with its number, a numeral, a letter, or a number of which the items are parts. */
    private enum Head {
        WORD_COLON("%2$s %1$d: %3$s"),
        WORD_DOT("%2$s %1$d. %3$s"),
        WORD_DASH("%2$s %1$d \u2013 %3$s"),
        WORD_ALONE("%2$s %1$d"),
        NUMERAL("%4$s. %3$s"),
        LETTER("%5$s. %3$s"),
        LETTER_BRACKET("%5$s) %3$s"),
        NUMBER("%1$d. %3$s");

        private final String format;

        Head(String format) {
            this.format = format;
        }

        String typed(int place, String word, String told) {
            return format.formatted(place, word, told, numeral(place), String.valueOf((char) ('A' + place - 1)));
        }

        private static String numeral(int place) {
            return List.of("I", "II", "III", "IV", "V", "VI").get(place - 1);
        }
    }

    private enum Count {
        DOT("1. "),
        BRACKET("1) "),
        BRACKETS("(1) "),
        SMALL_BRACKET("a) "),
        SMALL_DOT("a. "),
        SMALL_BRACKETS("(a) "),
        AUTOMATIC("1. "),
        AUTOMATIC_LETTERS("a) ");

        private final String format;

        Count(String format) {
            this.format = format;
        }

        boolean letters() {
            return format.contains("a");
        }

        boolean automatic() {
            return name().startsWith("AUTOMATIC");
        }

        String name(int place) {
            return letters() ? String.valueOf((char) ('a' + place - 1)) : String.valueOf(place);
        }

        String typed(int place) {
            return automatic() ? "" : format.replaceFirst("[1a]", name(place));
        }
    }

    private enum Key {
        NONE,
        MARKED,
        LINE_EACH,
        HEADED_LINES,
        HEADED_ROW
    }

    /** An answer as the list at the end gives it. */
    private record Answer(String exercise, String item, String words) {}

    private final Head head;
    private final Look look;
    private final Key key;
    private final boolean points;
    private final boolean goesOn;
    private final String ending;
    private final List<Answer> answers = new ArrayList<>();
    private Count count = Count.DOT;
    private int list;
    private int exercise;
    private int item;
    private int judging;

    /** @param format the ending of the file's name, "docx" for example, where plain text does not do */
    public MadeExercises(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xD1342543DE82EF95L);
        head = one(Head.values());
        look = random.nextInt(3) > 0 ? Look.BOLD : Look.PLAIN;
        key = one(Key.values());
        points = random.nextInt(3) == 0;
        goesOn = head != Head.NUMBER && random.nextInt(4) == 0;
        write();
        ending = page.isPlain() && random.nextInt(3) == 0 ? "txt" : format;
    }

    @Override
    public String habits() {
        return head + " " + look + " " + key + (points ? " points" : "") + (goesOn ? " goes on" : "") + " " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: review", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> exercise("Choose the best answer.", 5, language.choices(), this::choices),
                () -> exercise(judgingWords(), 5, language.statements(), this::statements),
                () -> exercise("Write one word in each gap.", 4, language.gaps(), this::gaps),
                () -> exercise("Answer in a word or two.", 3, language.asked(), this::asked),
                () -> exercise("Give the unit as well.", 3, language.numbers(), this::numbers),
                () -> exercise("Answer in full sentences.", 3, language.essays(), this::essays),
                () -> exercise("Circle the right word.", 4, language.alternatives(), this::alternatives)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + 1 + random.nextInt(4)).forEach(Runnable::run);
        if (!answers.isEmpty()) {
            answerList();
        }
    }

    private <T> void exercise(String told, int most, List<T> content, Consumer<List<T>> type) {
        if (content == null) {
            return;
        }
        List<T> items = some(content, FEWEST, most);
        exercise++;
        do {
            count = one(Count.values());
        } while (head == Head.NUMBER && !count.letters()
                || goesOn && count.letters()
                // Where most that is below counted words has letters, they name parts of them.
                || exercise % 3 != 0 && head.name().startsWith("WORD") && count.letters());
        if (!goesOn) {
            item = 0;
        }
        list = page.list(new Page.Numbering(count.letters() ? 'a' : '1', count.format.substring(1, 2)));
        page.blank();
        String directions = say(told);
        String typed = head.typed(exercise, say("Exercise"), directions);
        page.line(typed + (points ? " (" + items.size() + " " + say("points") + ")" : ""), look);
        if (head == Head.WORD_ALONE) {
            page.line(directions);
        }
        expected.append(head == Head.NUMBER ? "-- " + shown(directions) : "== " + typed)
                .append('\n');
        type.accept(items);
    }

    private static String shown(String passage) {
        return passage.substring(0, Math.min(40, passage.length()));
    }

    private void stem(String words) {
        item++;
        page.line(
                List.of(new Words((goesOn && count.automatic() ? item + ". " : count.typed(item)) + words, Look.PLAIN)),
                0,
                count.automatic() && !goesOn ? list : 0);
    }

    @Override
    void expect(String type, String stem, String rest) {
        expected.append(head == Head.NUMBER ? exercise : "")
                .append(count.name(item))
                .append(' ')
                .append(type);
        expected.append(points ? " 1p " : " ").append(stem).append(rest).append('\n');
    }

    private boolean listed() {
        return key != Key.NONE && key != Key.MARKED;
    }

    private String answer(String words) {
        if (!listed()) {
            return "";
        }
        String named = switch (head) {
            case NUMERAL -> Head.numeral(exercise);
            case LETTER, LETTER_BRACKET -> String.valueOf((char) ('A' + exercise - 1));
            case NUMBER -> String.valueOf(exercise);
            default -> say("Exercise") + " " + exercise;
        };
        answers.add(new Answer(named, count.name(item), words));
        return "\n    = " + words;
    }

    private Look keyLook(boolean right) {
        return right && key == Key.MARKED ? Look.RED : Look.PLAIN;
    }

    /** Below each other, on one line, or in one row of a table. */
    private void choices(List<Content.Choice> all) {
        boolean capitals = count.letters() || random.nextBoolean();
        String behind = random.nextBoolean() ? ") " : ". ";
        boolean bullets = !listed() && random.nextInt(4) == 0;
        int layout = random.nextInt(3);
        for (Content.Choice choice : all) {
            stem(choice.stem());
            List<Words> options = new ArrayList<>();
            StringBuilder rest = new StringBuilder();
            for (int i = 0; i < choice.options().size(); i++) {
                String letter = String.valueOf((char) ((capitals ? 'A' : 'a') + i));
                boolean right = choice.right().contains(i);
                options.add(new Words(
                        (bullets ? "\u2022 " : letter + behind)
                                + choice.options().get(i),
                        keyLook(right)));
                rest.append("\n    ")
                        .append(key != Key.NONE && right ? "* " : "- ")
                        .append(choice.options().get(i));
                if (right) {
                    answer(letter);
                }
            }
            boolean brief = choice.options().stream().mapToInt(String::length).sum() < WIDEST_ROW;
            if (layout == 1 && brief) {
                List<Words> line = new ArrayList<>();
                options.forEach(option -> {
                    line.add(option);
                    line.add(new Words("    ", Look.PLAIN));
                });
                page.line(line, 1, 0);
            } else {
                options.forEach(option -> page.line(List.of(option), layout == 2 ? 1 : 0, 0));
            }
            expect("single-choice", choice.stem(), rest.toString());
        }
    }

    private String judgingWords() {
        judging = random.nextInt(4);
        return switch (judging) {
            case 1 -> "Circle T or F.";
            case 2 -> "Write T for true or F for false on each line.";
            default -> "Are these statements true or false?";
        };
    }

    private void statements(List<Content.Statement> all) {
        for (Content.Statement statement : all) {
            String yes = say("True");
            String no = say("False");
            boolean right = statement.right();
            switch (judging) {
                case 0 -> judged(statement, "   ", yes, " / ", no);
                case 1 -> judged(statement, "\t", say("T"), "\t", say("F"));
                case 2 -> stem(statement.text() + " ______");
                default -> judged(statement, "\t\u2610 ", yes, "  \u2610 ", no);
            }
            answer(random.nextBoolean() ? say(right ? "T" : "F") : right ? yes : no);
            boolean keyed = listed() || key == Key.MARKED && judging != 2;
            expect("true-false", statement.text(), judged(keyed, right));
        }
    }

    private void judged(Content.Statement statement, String before, String yes, String between, String no) {
        item++;
        List<Words> words = List.of(
                new Words(
                        (count.automatic() && !goesOn ? "" : count.format.replaceFirst("[1a]", count.name(item))),
                        Look.PLAIN),
                new Words(statement.text() + before, Look.PLAIN),
                new Words(yes, keyLook(statement.right())),
                new Words(between, Look.PLAIN),
                new Words(no, keyLook(!statement.right())));
        page.line(words, 0, count.automatic() && !goesOn ? list : 0);
    }

    private void gaps(List<Content.Asked> all) {
        String gap = one(new String[] {"______", "............", "____________________"});
        for (Content.Asked asked : all) {
            stem(asked.text().replace("_", gap));
            String told = gap.startsWith(".") ? asked.text().replaceFirst("_\\.$", "_") : asked.text();
            expect(
                    "text-entry",
                    told.replace("_", "[[1]]"),
                    answer(asked.accepted().get(0)));
        }
    }

    private void asked(List<Content.Asked> all) {
        for (Content.Asked asked : all) {
            stem(asked.text());
            if (!listed()) {
                page.line("______________________________");
            }
            expect("text-entry", asked.text(), answer(asked.accepted().get(0)));
        }
    }

    private void numbers(List<Content.Number> all) {
        for (Content.Number asked : all) {
            stem(asked.text());
            if (!listed()) {
                page.line(say("Answer") + ": ______________ " + asked.unit());
            }
            expect("numeric-entry", asked.text(), answer(asked.value() + " " + asked.unit()));
        }
    }

    private void essays(List<Content.Asked> all) {
        for (Content.Asked asked : all) {
            stem(asked.text());
            page.line("______________________________________________________________");
            page.line("______________________________________________________________");
            expect("extended-text", asked.text(), answer(asked.accepted().get(0)));
        }
    }

    private void alternatives(List<Content.Asked> all) {
        boolean brackets = random.nextBoolean();
        for (Content.Asked asked : all) {
            String stem = brackets ? asked.text() : asked.text().replaceAll("[()]", "");
            stem(stem);
            String right = asked.accepted().get(0);
            StringBuilder rest = new StringBuilder();
            for (String word : asked.text().replaceAll(".*\\(|\\).*", "").split(" / ")) {
                rest.append("\n    ")
                        .append(listed() && word.equals(right) ? "* " : "- ")
                        .append(word);
            }
            answer(right);
            expect("single-choice", stem, rest.toString());
        }
    }

    private void answerList() {
        page.blank();
        page.line(say("Answer key"), Look.BOLD);
        String drawn = one(new String[] {". ", ") ", " "});
        // "1 20 kg" nobody writes, nor a sentence behind a mere number.
        boolean plain = answers.stream()
                .noneMatch(answer -> Character.isDigit(answer.words().charAt(0))
                        || answer.words().endsWith("."));
        String behind = drawn.equals(" ") && !plain ? ". " : drawn;
        String between = plain ? one(new String[] {"   ", ", ", "; "}) : "   ";
        String open = "";
        StringBuilder row = new StringBuilder();
        for (Answer answer : answers) {
            if (!answer.exercise().equals(open)) {
                flush(row);
                open = answer.exercise();
                if (key == Key.LINE_EACH) {
                    row.append(open).append(": ");
                } else {
                    page.line(open, Look.BOLD);
                }
            } else if (key != Key.HEADED_LINES) {
                row.append(between);
            }
            row.append(answer.item()).append(behind).append(answer.words());
            if (key == Key.HEADED_LINES) {
                flush(row);
            }
        }
        flush(row);
    }

    private void flush(StringBuilder row) {
        if (!row.isEmpty()) {
            page.line(row.toString());
            row.setLength(0);
        }
    }
}
