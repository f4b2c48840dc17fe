package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;

/**
 * A test whose author's habits are drawn, and what is to be understood of it, as {@code Shown} in the package above shows a reading.
 * The same seed and language make the same test.
 */
public abstract class Drawn {

    final Language language;
    final Random random;

    /** Who keeps to the same of several wordings. */
    final int author;

    final Page page = new Page();
    final StringBuilder expected = new StringBuilder();

    /** That of the question which is being typed. */
    int number;

    /** @param salt makes other draws of the same seeds than other kinds of tests */
    Drawn(long seed, String languageCode, long salt) {
        language = Language.of(languageCode);
        author = (int) seed;
        random = new Random(seed * salt + languageCode.hashCode() * 31L);
    }

    /** What was drawn, for whoever looks into a test that failed. */
    public abstract String habits();

    /** The ending of its file's name. */
    abstract String ending();

    public String fileName() {
        return "made." + ending();
    }

    public String text() {
        return page.text();
    }

    public byte[] bytes() {
        return page.saved(ending(), page.text(), false);
    }

    /** Name and content of a file with its answers, of an author who keeps them apart. */
    public Optional<KeyFile> key() {
        return Optional.empty();
    }

    /** A file beside the test. */
    public record KeyFile(String name, byte[] bytes) {}

    public String expected() {
        return expected.toString().strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    <T> T one(T[] values) {
        return values[random.nextInt(values.length)];
    }

    /** Some of the content in any order: at least so many, and up to so many more less one. */
    <T> List<T> some(List<T> content, int fewest, int more) {
        List<T> items = new ArrayList<>(content);
        Collections.shuffle(items, random);
        return items.subList(0, Math.min(items.size(), fewest + random.nextInt(more)));
    }

    String say(String english) {
        return language.say(english, author);
    }

    /** What is wanted of the question that is being typed. */
    void expect(String type, String stem, String rest) {
        expected.append(number).append(' ').append(type).append(' ');
        expected.append(stem).append(rest).append('\n');
    }

    /** The options of a choice as {@code Shown} shows them, with the right ones where they are told. */
    static String offered(Content.Choice choice, boolean told) {
        StringBuilder shown = new StringBuilder();
        for (int i = 0; i < choice.options().size(); i++) {
            shown.append(told && choice.right().contains(i) ? "\n    * " : "\n    - ")
                    .append(choice.options().get(i));
        }
        return shown.toString();
    }

    /** The two words that a statement is judged by, and which of them is right where it is told. */
    String judged(boolean told, boolean right) {
        return "\n    " + (told && right ? "* " : "- ") + say("True") + "\n    " + (told && !right ? "* " : "- ")
                + say("False");
    }
}
