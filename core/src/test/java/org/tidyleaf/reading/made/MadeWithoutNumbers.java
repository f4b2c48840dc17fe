package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * A test whose questions have no numbers: what tells them apart is drawn, the look of what is asked, the signs before what is offered,
 * blank lines; and what is to be understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeWithoutNumbers {

    private static final int FEWEST = 3;

    private enum Sign {
        BULLET("\u2022 "),
        DASH("- "),
        BOX("\u2610 "),
        SMALL_LETTER(") "),
        CAPITAL(". "),
        INDENT("");

        private final String typed;

        Sign(String typed) {
            this.typed = typed;
        }

        boolean letters() {
            return this == SMALL_LETTER || this == CAPITAL;
        }

        String before(int option) {
            return switch (this) {
                case SMALL_LETTER -> (char) ('a' + option) + typed;
                case CAPITAL -> (char) ('A' + option) + typed;
                default -> typed;
            };
        }
    }

    private enum Key {
        NONE,
        WORDS_BELOW,
        LETTER_BELOW,
        STAR,
        COLOUR
    }

    private final Language language;
    private final Random random;
    private final int author;
    private final Sign sign;
    private final Key key;
    private final Look look;
    private final boolean blanks;
    private final String ending;
    private final Page page = new Page();
    private final StringBuilder expected = new StringBuilder();

    public MadeWithoutNumbers(long seed, String languageCode, String format) {
        language = Language.of(languageCode);
        author = (int) seed;
        random = new Random(seed * 0x9E3779B97F4A7C15L);
        sign = one(Sign.values());
        Key drawn = one(Key.values());
        key = drawn == Key.LETTER_BELOW && !sign.letters() ? Key.WORDS_BELOW : drawn;
        look = random.nextBoolean() ? Look.BOLD : Look.PLAIN;
        blanks = random.nextInt(3) == 0;
        write();
        ending = page.isPlain() && look == Look.PLAIN && random.nextBoolean() ? "txt" : format;
    }

    private <T> T one(T[] values) {
        return values[random.nextInt(values.length)];
    }

    public String habits() {
        return sign + " " + key + " " + look + " blanks " + blanks + " " + ending;
    }

    public String text() {
        return page.text();
    }

    public String fileName() {
        return "made." + ending;
    }

    public String expected() {
        return expected.toString().strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    public byte[] bytes() {
        return page.saved(ending, page.text(), false);
    }

    private void write() {
        page.line("Keeping Bees: check without numbers", Look.BOLD);
        List<Runnable> all = new ArrayList<>();
        language.choices().stream()
                .filter(choice -> choice.right().size() == 1)
                .forEach(choice ->
                        all.add(() -> choice("single-choice", choice.stem(), choice.right(), choice.options())));
        List<String> words = List.of(say("True"), say("False"));
        language.statements()
                .forEach(statement -> all.add(
                        () -> choice("true-false", statement.text(), Set.of(statement.right() ? 0 : 1), words)));
        if (key == Key.WORDS_BELOW && sign != Sign.INDENT) {
            language.asked()
                    .forEach(asked ->
                            all.add(() -> asked(asked.text(), asked.accepted().get(0))));
        }
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(6)).forEach(Runnable::run);
    }

    private String say(String english) {
        return language.say(english, author);
    }

    private void stem(String type, String text) {
        if (blanks) {
            page.blank();
        }
        page.line(text, look);
        expected.append(' ').append(type).append(' ').append(text).append('\n');
    }

    private void choice(String type, String stem, Set<Integer> right, List<String> options) {
        stem(type, stem);
        IntStream.range(0, options.size()).forEach(i -> {
            boolean starred = key == Key.STAR && right.contains(i);
            boolean coloured = key == Key.COLOUR && right.contains(i);
            String typed = sign.before(i) + options.get(i) + (starred ? " *" : "");
            page.line(List.of(new Words(typed, coloured ? Look.RED : Look.PLAIN)), sign == Sign.INDENT ? 1 : 0, 0);
            expected.append(key != Key.NONE && right.contains(i) ? "    * " : "    - ")
                    .append(options.get(i))
                    .append('\n');
        });
        int place = right.iterator().next();
        if (key == Key.WORDS_BELOW) {
            page.line(say("Answer") + ": " + options.get(place));
        } else if (key == Key.LETTER_BELOW) {
            page.line(say("Answer") + ": " + (char) ((sign == Sign.CAPITAL ? 'A' : 'a') + place));
        }
    }

    private void asked(String text, String answer) {
        stem("text-entry", text);
        page.line(say("Answer") + ": " + answer);
        expected.append("    = ").append(answer).append('\n');
    }
}
