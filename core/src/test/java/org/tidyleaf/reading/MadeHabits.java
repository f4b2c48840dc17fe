package org.tidyleaf.reading;

import java.util.Random;

/**
 * How the author of a made-up test works: numbers, letters, key, points. Each is drawn on its own, but for what no author
 * would put together (a key of letters for options without any).
 */
record MadeHabits(
        Numbers numbers,
        Letters letters,
        Layout layout,
        Key key,
        Points points,
        Judging judging,
        Gap gap,
        Why why,
        boolean parts,
        boolean restart,
        boolean airy,
        boolean labels,
        boolean header) {

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
            return ordinal() <= AUTOMATIC.ordinal();
        }

        String label(int option) {
            return format.replace('a', (char) ('a' + option)).replace('A', (char) ('A' + option));
        }

        String letter(int option) {
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
        NONE;

        boolean byLetters() {
            return ordinal() >= ANSWER_LINE.ordinal() && this != NONE;
        }

        boolean line() {
            return this == ANSWER_LINE || this == ANS_LINE || this == CORRECT_ANSWER_LINE;
        }

        boolean list() {
            return this == LIST || this == LIST_IN_ROWS || this == LIST_IN_A_TABLE;
        }

        MadePage.Look look() {
            return switch (this) {
                case BOLD -> MadePage.Look.BOLD;
                case RED -> MadePage.Look.RED;
                case YELLOW -> MadePage.Look.YELLOW;
                case UNDERLINED -> MadePage.Look.UNDERLINED;
                default -> MadePage.Look.PLAIN;
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
        FAR_BRACKETS("\t(2)");

        final String words;

        Points() {
            this("");
        }

        Points(String words) {
            this.words = words;
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

    static MadeHabits of(Random random) {
        Key key = one(random, Key.values());
        Letters letters = one(random, Letters.values());
        while (key.byLetters() && !letters.named()) {
            letters = one(random, Letters.values());
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
        boolean parts = random.nextInt(3) > 0;
        Points points = one(random, Points.values());
        return new MadeHabits(
                one(random, Numbers.values()),
                letters,
                layout,
                key,
                points == Points.HEADING && !parts ? Points.NONE : points,
                one(random, Judging.values()),
                one(random, Gap.values()),
                key.line() ? one(random, Why.values()) : Why.NONE,
                parts,
                parts && random.nextInt(4) == 0,
                letters == Letters.BARE || random.nextInt(3) > 0,
                random.nextInt(6) == 0,
                random.nextInt(3) > 0);
    }

    private static <T> T one(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }
}
