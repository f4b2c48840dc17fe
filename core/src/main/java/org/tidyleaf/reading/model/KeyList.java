package org.tidyleaf.reading.model;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * A key that stands apart from its questions: at the end of the document, or in a file of its own.
 *
 * @param items in printed order
 * @param pieces places among the document's pieces that the list takes up; empty where it is another file
 * @param between whether its lines stand below the questions that they answer, whose numbers begin anew below each
 */
public record KeyList(List<Item> items, Set<Integer> pieces, KeySource source, boolean between) {

    /** "3. larva [1]": the points that a marking guide prints behind its answers. */
    private static final Pattern POINTS_BEHIND =
            Pattern.compile("(.*\\S)(?:\\s+(?:\\[\\d{1,2}]|\\(\\d{1,2}\\))|\\s{4,}\\d{1,2})\\s*");

    private static final int SEVERAL = 3;

    public KeyList(List<Item> items, Set<Integer> pieces, KeySource source) {
        this(items, pieces, source, false);
    }

    public KeyList {
        items = withoutPoints(items);
        pieces = Set.copyOf(pieces);
    }

    /** What counts the parts of a test. */
    private static final Pattern COUNT = Pattern.compile("[a-h]|[ivx]{1,4}|\\d{1,2}");

    private static final Pattern PART =
            Vocabulary.pattern("(" + Vocabulary.ALL.either("section") + ")\\s+(\\d{1,2}|[a-z]|[ivx]{1,5})(?=\\s|$)");

    public static final KeyList NONE = new KeyList(List.of(), Set.of(), KeySource.NONE);

    /**
     * One answer.
     *
     * @param heading the heading it stands under, or empty
     * @param number the printed number of its question without zeros before it; empty for the one question of its part
     * @param line the 1-based line it was read from
     */
    public record Item(String heading, String number, String text, int line) {

        public Item {
            number = withoutZeros(number);
        }

        /** Whether a section's heading begins as the list names the part that the answer stands under. */
        public boolean isNamedAs(String title) {
            return beginsAs(plain(title), plain(heading));
        }

        private Item withoutPoints() {
            Matcher matcher = POINTS_BEHIND.matcher(text);
            return matcher.matches() ? new Item(heading, number, matcher.group(1), line) : this;
        }
    }

    /** "007" in a pool is the question that its key calls "7", and the other way round. */
    public static String withoutZeros(String number) {
        return number.replaceFirst("^0+(?=\\d)", "");
    }

    private static List<Item> withoutPoints(List<Item> items) {
        long pointed = items.stream()
                .filter(item -> POINTS_BEHIND.matcher(item.text()).matches())
                .count();
        return pointed < SEVERAL || pointed * 2 < items.size()
                ? List.copyOf(items)
                : items.stream().map(Item::withoutPoints).toList();
    }

    /** The answer that stands soonest below a line, where the numbers of answers begin anew. */
    public Optional<Item> below(String number, int line) {
        return items.stream()
                .filter(item -> item.line() > line && item.number().equals(withoutZeros(number)))
                .findFirst();
    }

    /**
     * The answer for a question; where numbers begin anew in each section, the heading decides.
     *
     * @param heading that of the question's section; empty where it stands in none
     */
    public Optional<Item> find(String printed, String heading) {
        if (items.isEmpty()) {
            return Optional.empty();
        }
        String number = withoutZeros(printed);
        String wanted = plain(heading);
        List<Item> same =
                items.stream().filter(item -> item.number().equals(number)).toList();
        if (number.isEmpty()) {
            return same.stream()
                    .filter(item -> beginsAs(wanted, plain(item.heading())))
                    .findFirst();
        }
        Optional<Item> whole = wanted.isEmpty() ? wholePart(number) : Optional.empty();
        if (whole.isPresent() || same.size() <= 1) {
            return whole.or(() -> same.stream()
                    .filter(item -> !areOfOtherParts(wanted, plain(item.heading())))
                    .findFirst());
        }
        return same.stream()
                .filter(item -> !wanted.isEmpty() && plain(item.heading()).equals(wanted))
                .findFirst()
                .or(() -> same.stream()
                        .filter(item -> !item.heading().isEmpty() && beginsAs(wanted, plain(item.heading())))
                        .findFirst());
    }

    /** "C 1b, 2a, 3c": all pairs that are said of a part, for the one question that it is. */
    public Optional<Item> pairsOf(String heading) {
        String wanted = plain(heading);
        List<Item> said = items.stream()
                .filter(item -> !item.heading().isEmpty() && beginsAs(wanted, plain(item.heading())))
                .toList();
        return said.isEmpty()
                ? Optional.empty()
                : Optional.of(new Item(
                        said.get(0).heading(),
                        "",
                        String.join(
                                ", ",
                                said.stream()
                                        .map(item -> item.number() + "-" + item.text())
                                        .toList()),
                        said.get(0).line()));
    }

    /** "3  1b 2a 3c": what stands under the number of an exercise that is one question; empty where nothing does. */
    public Optional<Item> exercise(String number) {
        boolean named =
                items.stream().filter(item -> item.heading().equals(number)).count() > 1;
        return named ? pairsOf(number) : Optional.empty();
    }

    /** "C: wax, honey": what is said of a part as a whole. */
    public Optional<String> wordsOf(String heading) {
        String wanted = plain(heading);
        return items.stream()
                .filter(item ->
                        item.number().isEmpty() && !item.heading().isEmpty() && beginsAs(wanted, plain(item.heading())))
                .map(Item::text)
                .findFirst();
    }

    /** "Ex. 3: wax, honey": what answers the third exercise, which is one question, as a whole. */
    private Optional<Item> wholePart(String number) {
        return items.stream()
                .filter(item -> item.number().isEmpty())
                .filter(item -> plain(item.heading()).matches("\\p{L}{2,} " + Pattern.quote(number)))
                .findFirst();
    }

    /** "Exercise 2: a) wax": what answers part 2a. */
    public Optional<Item> part(String exercise, String letter) {
        return items.stream()
                .filter(item -> item.number().equals(letter))
                .filter(item -> plain(item.heading()).matches("\\p{L}{2,} " + Pattern.quote(exercise)))
                .findFirst();
    }

    /** Whether a heading begins with the words that a list names it by, the first of them perhaps cut short. */
    private static boolean beginsAs(String heading, String named) {
        String[] words = heading.split(" ");
        String[] wanted = named.split(" ");
        // "B" in the key is "Exercise B" of the test.
        boolean counted = wanted.length == 1
                && words.length > 1
                && words[0].length() > 2
                && COUNT.matcher(named).matches()
                && words[1].equals(named);
        if (counted) {
            return true;
        }
        boolean shortened = wanted.length > 1 && wanted[0].length() > 1 && words[0].startsWith(wanted[0]);
        boolean alike = words.length >= wanted.length && (words[0].equals(wanted[0]) || shortened);
        return alike
                && Arrays.equals(
                        Arrays.copyOfRange(words, 1, wanted.length), Arrays.copyOfRange(wanted, 1, wanted.length));
    }

    /** "part a" and "part b: essays": the answer of one is none of the other. */
    private static boolean areOfOtherParts(String heading, String named) {
        Matcher one = PART.matcher(heading);
        Matcher other = PART.matcher(named);
        return one.lookingAt()
                && other.lookingAt()
                && one.group(1).equals(other.group(1))
                && !one.group(2).equals(other.group(2));
    }

    private static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", " ").strip();
    }
}
