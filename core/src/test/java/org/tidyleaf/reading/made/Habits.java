package org.tidyleaf.reading.made;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;

/**
 * How the author of a made-up test works: numbers, letters, key, points. Each is drawn on its own, but for what no author
 * would put together (a key of letters for options without any).
 */
record Habits(
        Numbers numbers,
        Letters letters,
        Layout layout,
        Key key,
        Points points,
        Judging judging,
        Gap gap,
        Why why,
        Heads heads,
        boolean wrapped,
        boolean parts,
        boolean restart,
        boolean airy,
        boolean labels,
        boolean header,
        boolean pictures,
        boolean twoColumns) {

    private static final int AUTHORS_A_PAPER_IN_COLUMNS = 4;

    enum Numbers {
        DOT("%d. "),
        BRACKET("%d) "),
        BRACKETS("(%d) "),
        Q("Q%d. "),
        Q_COLON("Q%d: "),
        QUESTION("Question %d: "),
        TAB("%d\t"),
        DOT_TAB("%d.\t"),
        ZERO("%02d. "),
        DASH("%d - "),
        HASH("#%d "),
        AUTOMATIC(""),
        LINE_ABOVE("Question %d"),
        BOLD("%d. ");

        final String format;

        Numbers(String format) {
            this.format = format;
        }
    }

    enum Letters {
        SMALL_BRACKET("a) "),
        CAPITAL_DOT("A. "),
        CAPITAL_BRACKET("A) "),
        BRACKETS("(a) "),
        CAPITAL_BRACKETS("(A) "),
        SMALL_DOT("a. "),
        CAPITAL_TAB("A\t"),
        CAPITAL_COLON("A: "),
        CAPITAL_DASH("A - "),
        AUTOMATIC("a) "),
        DIGIT("1) "),
        NUMERAL("i. "),
        BULLET("\u2022 "),
        BOX("\u2610 "),
        CIRCLE("\u25cb "),
        DASH("- "),
        BARE("");

        final String format;

        Letters(String format) {
            this.format = format;
        }

        boolean named() {
            return ordinal() <= NUMERAL.ordinal();
        }

        String label(int option) {
            if (this == DIGIT || this == NUMERAL) {
                return letter(option) + format.substring(1);
            }
            return format.replace('a', (char) ('a' + option)).replace('A', (char) ('A' + option));
        }

        String letter(int option) {
            if (this == DIGIT) {
                return String.valueOf(option + 1);
            }
            if (this == NUMERAL) {
                return List.of("i", "ii", "iii", "iv").get(option);
            }
            return String.valueOf((char) ((format.contains("a") ? 'a' : 'A') + option));
        }
    }

    enum Layout {
        LINES,
        INDENTED,
        ONE_LINE,
        ONE_LINE_OF_TABS,
        TWO_A_LINE,
        BEHIND_THE_STEM,
        TABLE
    }

    enum Key {
        BOLD,
        RED,
        YELLOW,
        UNDERLINED,
        STAR_BEFORE,
        STAR_BEHIND,
        TICK_BEHIND,
        CORRECT_BEHIND,
        ANSWER_LINE,
        ANS_LINE,
        CORRECT_ANSWER_LINE,
        LETTER_IN_FRONT,
        LIST,
        LIST_IN_ROWS,
        LIST_IN_A_TABLE,
        LIST_OF_BARE_NUMBERS,
        LIST_OF_DASHES,
        LIST_BY_PART,
        NONE;

        boolean byLetters() {
            return ordinal() >= ANSWER_LINE.ordinal() && this != NONE;
        }

        boolean line() {
            return this == ANSWER_LINE || this == ANS_LINE || this == CORRECT_ANSWER_LINE;
        }

        boolean list() {
            return name().startsWith("LIST");
        }

        Page.Look look() {
            return switch (this) {
                case BOLD -> Page.Look.BOLD;
                case RED -> Page.Look.RED;
                case YELLOW -> Page.Look.YELLOW;
                case UNDERLINED -> Page.Look.UNDERLINED;
                default -> Page.Look.PLAIN;
            };
        }
    }

    enum Points {
        NONE,
        ROUND(" (2 points)"),
        SQUARE(" [2]"),
        MARKS(" [2 marks]"),
        FAR("\t2 pts"),
        HEADING,
        BEFORE("(2 pts) "),
        FAR_BRACKETS("\t(2)"),
        SLASH(" /2"),
        OF(" (___/2)"),
        SHORT(" (2p)"),
        DASH(" - 2 points");

        final String words;

        Points() {
            this("");
        }

        Points(String words) {
            this.words = words;
        }
    }

    enum Heads {
        PART("Part %s: %s"),
        SECTION("SECTION %s \u2013 %s"),
        ROMAN("%s. %s"),
        LETTER("%s. %s"),
        NAME("%2$s"),
        CAPITALS("%2$s"),
        EXERCISE("Exercise %s. %s"),
        NUMBERED("Part %s - %s");

        private final String format;

        Heads(String format) {
            this.format = format;
        }

        String title(int place, String name) {
            String label = switch (this) {
                case ROMAN ->
                    List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII").get(place);
                case EXERCISE, NUMBERED -> String.valueOf(place + 1);
                default -> String.valueOf((char) ('A' + place));
            };
            return format.formatted(label, this == CAPITALS ? name.toUpperCase(Locale.ROOT) : name);
        }

        /** How the key names the part. */
        String inKey(int place, String name) {
            return switch (this) {
                case ROMAN, LETTER -> title(place, name).split(" ")[0];
                case PART, SECTION, EXERCISE, NUMBERED -> title(place, name).split("[:.]| [-\u2013]")[0];
                default -> title(place, name);
            };
        }
    }

    enum Judging {
        OPTIONS,
        SLASH,
        FAR,
        IN_BRACKETS,
        LETTERS,
        BOXES,
        BLANK,
        HEADED
    }

    enum Gap {
        RULE("______"),
        DOTS(".........."),
        BRACKETS("(        )"),
        LONG_RULE("____________________");

        final String printed;

        Gap(String printed) {
            this.printed = printed;
        }
    }

    enum Why {
        NONE,
        EXPLANATION("Explanation: "),
        FEEDBACK("Feedback: "),
        BECAUSE("Rationale: ");

        final String words;

        Why() {
            this("");
        }

        Why(String words) {
            this.words = words;
        }
    }

    /** @param paper whether it comes as it is printed, in two columns perhaps */
    static Habits of(Random random, boolean paper) {
        boolean twoColumns = paper && random.nextInt(AUTHORS_A_PAPER_IN_COLUMNS) == 0;
        Key key = one(random, Key.values());
        Letters letters = one(random, Letters.values());
        while (key.byLetters() && !letters.named() || letters == Letters.DIGIT && key == Key.LETTER_IN_FRONT) {
            letters = one(random, Letters.values());
        }
        Numbers numbers = one(random, Numbers.values());
        // Numbered options stand below plain numbers that look different, and below several questions: below one they
        // are a list.
        boolean digits = letters == Letters.DIGIT;
        while (digits
                && !Set.of(Numbers.DOT, Numbers.BRACKETS, Numbers.ZERO, Numbers.DASH)
                        .contains(numbers)) {
            numbers = one(random, Numbers.values());
        }
        Layout layout = random.nextBoolean() ? Layout.LINES : one(random, Layout.values());
        boolean bare = letters == Letters.BARE
                || letters == Letters.AUTOMATIC
                || letters == Letters.CAPITAL_TAB
                || letters == Letters.DASH
                || letters == Letters.CAPITAL_DASH;
        if (bare && layout != Layout.INDENTED) {
            layout = Layout.LINES;
        }
        // "1) wax 2) honey" behind a sentence is a list of its own.
        if (letters == Letters.DIGIT && layout == Layout.BEHIND_THE_STEM) {
            layout = Layout.LINES;
        }
        if (twoColumns && (layout == Layout.ONE_LINE_OF_TABS || layout == Layout.TWO_A_LINE)) {
            // A column has no room for that.
            layout = Layout.LINES;
        }
        boolean parts = random.nextInt(3) > 0;
        Gap gap = one(random, Gap.values());
        Heads heads = random.nextInt(3) == 0 ? Heads.PART : one(random, Heads.values());
        Points points = one(random, Points.values());
        Judging judging = one(random, Judging.values());
        if (twoColumns) {
            points = points.words.startsWith("\t") ? Points.ROUND : points;
            judging = judging == Judging.FAR || judging == Judging.LETTERS ? Judging.SLASH : judging;
            gap = gap == Gap.LONG_RULE || gap == Gap.BRACKETS ? Gap.RULE : gap;
        }
        return new Habits(
                numbers,
                letters,
                layout,
                key,
                points == Points.HEADING && !parts ? Points.NONE : points,
                judging,
                gap,
                key.line() ? one(random, Why.values()) : Why.NONE,
                heads,
                // Room between brackets would break in the middle.
                random.nextInt(8) == 0 && gap != Gap.BRACKETS && points != Points.SLASH && points != Points.OF,
                parts,
                parts && letters != Letters.DIGIT && (key == Key.LIST_BY_PART || random.nextInt(4) == 0),
                letters == Letters.BARE || random.nextInt(3) > 0,
                random.nextInt(6) == 0,
                // Right below the title a bare head might be its second line.
                heads == Heads.NAME || heads == Heads.CAPITALS || random.nextInt(3) > 0,
                random.nextInt(5) == 0,
                twoColumns);
    }

    private static <T> T one(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }
}
