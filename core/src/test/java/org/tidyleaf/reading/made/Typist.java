package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Pattern;
import org.tidyleaf.reading.made.Habits.Key;
import org.tidyleaf.reading.made.Habits.Numbers;
import org.tidyleaf.reading.made.Habits.Points;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * Types the parts that questions of every type have, each as the habits say: number, stem, points, key. Keeps what is to be
 * understood of it.
 */
final class Typist {

    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    /** Stands for the name of a part. */
    private static final String NAME = "*";

    private static final int WIDEST_ROW = 60;

    private static final int SHOWN_OF_PASSAGE = 40;

    private final Habits habits;
    private final Language language;
    private final int author;
    private final Page page = new Page();
    private final StringBuilder expected = new StringBuilder();
    private final List<Integer> pictures = new ArrayList<>();
    private final List<String> instructions = new ArrayList<>();
    private final List<String> numbers = new ArrayList<>();
    private final List<String> answers = new ArrayList<>();
    private int number;
    private int picturesHere;
    private String section = "";
    private String passage = "";
    private String shownSection = "";
    private String shownPassage = "";
    private int partsSoFar;
    private int list;

    /** @param author who keeps to the same of several wordings */
    Typist(Habits habits, Language language, int author) {
        this.habits = habits;
        this.language = language;
        this.author = author;
        list = page.list(new Page.Numbering('1', "."));
    }

    Habits habits() {
        return habits;
    }

    Page page() {
        return page;
    }

    /** The number of the question that is being typed. */
    int number() {
        return number;
    }

    String expected() {
        return expected.toString();
    }

    /** How many pictures each question has, in their order. */
    List<Integer> pictures() {
        return pictures;
    }

    List<String> instructions() {
        return instructions;
    }

    String say(String english) {
        return language.say(english, author);
    }

    /** A habit's words with those of the language in place of the English ones. */
    private String inLanguage(String words) {
        return WORD.matcher(words).replaceAll(word -> say(word.group()));
    }

    /** A head's words in the language, and the part's name in place of the mark for it. */
    private String named(String head, String title) {
        String name = habits.heads() == Habits.Heads.CAPITALS ? say(title).toUpperCase(Locale.ROOT) : say(title);
        // "F" letters a part and says nothing of false.
        return WORD.matcher(head)
                .replaceAll(word -> word.group().length() > 1 ? say(word.group()) : word.group())
                .replace(NAME, name);
    }

    /** Begins a part, if the author makes any. */
    void part(String title, String told) {
        if (!habits.parts()) {
            return;
        }
        page.blank();
        String head = named(habits.heads().title(partsSoFar, NAME), title);
        String inKey = named(habits.heads().inKey(partsSoFar++, NAME), title);
        page.line(head + (habits.points() == Points.HEADING ? " (2 " + say("points each") + ")" : ""), Look.BOLD);
        section = head;
        if (!told.isEmpty()) {
            page.line(say(told));
        }
        instructions.add(say(told));
        if (habits.restart()) {
            number = 0;
            list = page.list(new Page.Numbering('1', "."));
            numbers.add("");
            answers.add(inKey);
        }
    }

    /** What stands above several questions, from here on; empty where nothing does. */
    void under(String passage) {
        this.passage = passage;
    }

    void stem(String front, String words, String behind) {
        number++;
        if (habits.airy()) {
            page.blank();
        }
        String printed = habits.numbers().format.contains("%")
                ? habits.numbers().format.replace("Question", say("Question")).formatted(number)
                : "";
        String text = (habits.points() == Points.BEFORE ? inLanguage(habits.points().words) : "")
                + words
                + behind
                + (habits.points() == Points.BEFORE ? "" : inLanguage(habits.points().words));
        if (habits.numbers() == Numbers.AUTOMATIC) {
            page.line(List.of(new Words(front + text, Look.PLAIN)), 0, list);
        } else if (habits.numbers() == Numbers.LINE_ABOVE) {
            page.line(printed, Look.BOLD);
            if (!(front + text).isBlank()) {
                page.line(front + text);
            }
        } else if (habits.numbers() == Numbers.BOLD) {
            page.line(List.of(new Words(front + printed, Look.BOLD), new Words(text, Look.PLAIN)), 0, 0);
        } else {
            page.line(front + printed + text);
        }
    }

    /** A picture right below what is asked. */
    void picture() {
        page.picture();
        picturesHere++;
    }

    void expect(String type, String stem, String rest) {
        expectPart("", type, habits.points() == Points.NONE ? Optional.empty() : Optional.of("2"), stem, rest);
    }

    /** @param letter of the part, empty for a whole question */
    void expectPart(String letter, String type, Optional<String> points, String stem, String rest) {
        place();
        expected.append(number).append(letter).append(' ').append(type);
        expected.append(points.map(worth -> " " + worth + "p ").orElse(" "));
        expected.append(stem).append(rest).append('\n');
        pictures.add(picturesHere);
        picturesHere = 0;
    }

    private void place() {
        if (!section.equals(shownSection)) {
            expected.append("== ").append(section).append('\n');
        }
        if (!passage.equals(shownPassage)) {
            expected.append("-- ")
                    .append(passage, 0, Math.min(SHOWN_OF_PASSAGE, passage.length()))
                    .append('\n');
        }
        shownSection = section;
        shownPassage = passage;
    }

    boolean hasKey() {
        return habits.key().line() || habits.key().list();
    }

    /** An answer as it is expected, where it is told at all. */
    String key(String words) {
        return hasKey() ? "\n    = " + words : "";
    }

    void answer(String words, String why) {
        if (habits.key().line()) {
            page.line(switch (habits.key()) {
                        case ANS_LINE -> say("Ans") + ": ";
                        case CORRECT_ANSWER_LINE -> say("Correct answer") + ": ";
                        default -> say("Answer") + ": ";
                    }
                    + words);
            if (habits.why() != Habits.Why.NONE && !why.isEmpty()) {
                page.line(inLanguage(habits.why().words) + why);
            }
        } else if (habits.key().list()) {
            numbers.add(String.valueOf(number));
            answers.add(words);
        }
        if (habits.labels()) {
            page.line(say("Difficulty") + ": " + say(number % 2 == 0 ? "easy" : "medium"));
        }
    }

    /** The answer to one part of a question. */
    void answerPart(String letter, String words) {
        if (habits.key().line()) {
            page.line(say("Answer") + ": " + words);
        } else if (habits.key().list()) {
            numbers.add(number + letter);
            answers.add(words);
        }
    }

    /** The answers of the whole test, at its end or on a page of their own. */
    void keyList(Page to, Random random) {
        to.blank();
        to.line(say(random.nextBoolean() ? "Answer key" : "ANSWERS"), Look.BOLD);
        if (habits.key() == Key.LIST_IN_A_TABLE && !habits.restart()) {
            List<List<String>> rows = new ArrayList<>();
            rows.add(List.of(say("Question"), say("Answer")));
            for (int i = 0; i < numbers.size(); i++) {
                rows.add(List.of(numbers.get(i), answers.get(i)));
            }
            to.table(rows);
            return;
        }
        StringBuilder row = new StringBuilder();
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i).isEmpty()) {
                flush(to, row);
                if (habits.key() == Key.LIST_BY_PART) {
                    row.append(answers.get(i).replaceFirst("\\.$", "")).append(": ");
                } else {
                    to.line(answers.get(i));
                }
                continue;
            }
            row.append(row.isEmpty() ? "" : "   ")
                    .append(numbers.get(i))
                    .append(". ")
                    .append(answers.get(i));
            if (habits.key() != Key.LIST_IN_ROWS || row.length() > WIDEST_ROW) {
                flush(to, row);
            }
        }
        flush(to, row);
    }

    private static void flush(Page to, StringBuilder row) {
        if (!row.isEmpty()) {
            to.line(row.toString());
            row.setLength(0);
        }
    }
}
