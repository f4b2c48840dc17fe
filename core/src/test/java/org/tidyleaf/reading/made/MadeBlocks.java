package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.made.Page.Look;

/**
 * A paper of what is matched, put in order or filled in from a list, each in one of the many ways that these are typed; and what is
 * to be understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeBlocks extends Drawn {

    private static final int FEWEST = 3;

    /** How pairs stand on the page. */
    private enum Pairs {
        TABS("1. ", "a. "),
        TABS_CAPITALS("1) ", "A) "),
        BLANK_BEFORE("____ 1. ", "a. "),
        BLANK_BEHIND("1. ", "a. "),
        LETTERS_FIRST("A. ", "1. "),
        LISTS("1. ", "a) "),
        LISTS_BRACKETS("(1) ", "(a) "),
        TABLE("1. ", "a. "),
        TABLE_HEADS("1. ", "A. "),
        TABLE_BLANK("1. ", "A. "),
        TABLE_BARE("", ""),
        TABLE_LETTERS_APART("1", "a");

        private final String left;
        private final String right;

        Pairs(String left, String right) {
            this.left = left;
            this.right = right;
        }

        String left(int place) {
            return labelled(left, place);
        }

        String right(int place) {
            return labelled(right, place);
        }

        private static String labelled(String format, int place) {
            return format.replace('1', (char) ('1' + place))
                    .replace('a', (char) ('a' + place))
                    .replace('A', (char) ('A' + place));
        }
    }

    private enum PairKey {
        DASHES("%s-%s", ", "),
        CLOSE("%s%s", " "),
        SPACES("%s %s", ", "),
        EQUALS("%s = %s", "; "),
        ARROWS("%s \u2192 %s", ", "),
        BRACKETS("%s) %s", "  "),
        COLONS("%s: %s", ", ");

        private final String format;
        private final String between;

        PairKey(String format, String between) {
            this.format = format;
            this.between = between;
        }
    }

    private enum Steps {
        LETTERS,
        SMALL_LETTERS,
        BLANKS,
        BLANKS_BEHIND,
        BOXES,
        BULLETS,
        ONE_LINE,
        TABLE
    }

    private enum Bank {
        WORDS_LINE,
        BARE_LINE,
        STROKES,
        DASHES,
        BOX,
        CELLS,
        BRACKETS,
        BELOW
    }

    private enum Key {
        NONE,
        LINE,
        LIST
    }

    private final Pairs pairs;
    private final PairKey pairKey;
    private final Steps steps;
    private final Bank bank;
    private final Key key;
    private final boolean numberedGaps;
    private final boolean airy;
    private final String numbers;
    private final String ending;
    private final List<String> answers = new ArrayList<>();

    public MadeBlocks(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xD6E8FEB86659FD93L);
        pairs = one(Pairs.values());
        pairKey = one(PairKey.values());
        steps = one(Steps.values());
        bank = one(Bank.values());
        key = one(Key.values());
        numberedGaps = random.nextInt(4) == 0;
        airy = random.nextBoolean();
        numbers = one(new String[] {"%d. ", "%d) ", "Q%d. "});
        ending = format;
        write();
    }

    @Override
    public String habits() {
        return pairs + " " + pairKey + " steps " + steps + " bank " + bank + (numberedGaps ? " numbered" : "") + " key "
                + key + " '" + numbers + "' " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: review", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        page.blank();
        List<Runnable> all = new ArrayList<>();
        some(language.pairs(), 2, 1).forEach(content -> all.add(() -> pairs(content)));
        some(language.steps(), 2, 1).forEach(content -> all.add(() -> steps(content)));
        some(language.banks(), 1, 1).forEach(content -> all.add(() -> bank(content)));
        some(language.choices(), 2, 1).forEach(content -> all.add(() -> choice(content)));
        some(language.asked(), 1, 1).forEach(content -> all.add(() -> asked(content)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(4)).forEach(Runnable::run);
        if (key == Key.LIST) {
            page.blank();
            page.line(say("Answer key"), Look.BOLD);
            answers.forEach(page::line);
        }
    }

    private void stem(String words) {
        if (airy && number > 0) {
            page.blank();
        }
        number++;
        page.line(numbers.formatted(number) + words);
    }

    private void answer(String words) {
        if (key == Key.LINE) {
            page.line(say("Answer") + ": " + words);
        } else if (key == Key.LIST) {
            answers.add(number + ". " + words);
        }
    }

    private String keyed(String rest) {
        return key == Key.NONE ? "" : rest;
    }

    private void choice(Content.Choice choice) {
        stem(choice.stem());
        int right = choice.right().iterator().next();
        for (int i = 0; i < choice.options().size(); i++) {
            page.line((char) ('A' + i) + ") " + choice.options().get(i));
        }
        answer(String.valueOf((char) ('A' + right)));
        expect("single-choice", choice.stem(), offered(choice, key != Key.NONE));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        if (key == Key.NONE) {
            page.line("______________________________");
        }
        answer(asked.accepted().get(0));
        expect("text-entry", asked.text(), keyed("\n    = " + asked.accepted().get(0)));
    }

    private void pairs(Content.Pairs content) {
        stem(content.stem());
        List<String> lefts = content.lefts();
        List<String> rights = content.rights();
        switch (pairs) {
            case TABS, TABS_CAPITALS, BLANK_BEFORE, BLANK_BEHIND, LETTERS_FIRST -> {
                for (int i = 0; i < rights.size(); i++) {
                    String room = pairs == Pairs.BLANK_BEHIND ? " ____" : "";
                    String left = i < lefts.size() ? pairs.left(i) + lefts.get(i) + room : "";
                    page.line(left + "\t\t" + pairs.right(i) + rights.get(i));
                }
            }
            case LISTS, LISTS_BRACKETS -> {
                IntStream.range(0, lefts.size()).forEach(i -> page.line(pairs.left(i) + lefts.get(i)));
                page.blank();
                IntStream.range(0, rights.size()).forEach(i -> page.line(pairs.right(i) + rights.get(i)));
            }
            default -> page.table(pairTable(lefts, rights));
        }
        List<String> typed = new ArrayList<>();
        StringBuilder rest = new StringBuilder();
        boolean bare = pairs == Pairs.TABLE_BARE;
        for (int i = 0; i < lefts.size(); i++) {
            int right = content.key().get(i);
            typed.add(
                    bare
                            ? lefts.get(i) + " \u2013 " + rights.get(right)
                            : pairKey.format.formatted(name(pairs.left(i)), name(pairs.right(right))));
            rest.append("\n    = ").append(lefts.get(i)).append(" = ").append(rights.get(right));
        }
        answer(String.join(bare ? "; " : pairKey.between, typed));
        expect("match", content.stem(), keyed(rest.toString()));
    }

    private static String name(String label) {
        return label.replaceAll("[^A-Za-z0-9]", "");
    }

    private List<List<String>> pairTable(List<String> lefts, List<String> rights) {
        List<List<String>> rows = new ArrayList<>();
        if (pairs == Pairs.TABLE_HEADS) {
            rows.add(List.of("Column 1", "Column 2"));
        }
        for (int i = 0; i < rights.size(); i++) {
            boolean has = i < lefts.size();
            List<String> row = new ArrayList<>();
            if (pairs == Pairs.TABLE_LETTERS_APART) {
                row.add(has ? pairs.left(i) : "");
                row.add(has ? lefts.get(i) : "");
                row.add(pairs.right(i));
                row.add(rights.get(i));
            } else {
                row.add(has ? pairs.left(i) + lefts.get(i) : "");
                if (pairs == Pairs.TABLE_BLANK) {
                    row.add("");
                }
                row.add(pairs.right(i) + rights.get(i));
            }
            rows.add(row);
        }
        return rows;
    }

    private void steps(Content.Steps content) {
        stem(content.stem());
        List<String> items = content.items();
        if (steps == Steps.ONE_LINE) {
            page.line(String.join(
                    " / ",
                    items.stream().map(item -> item.replaceFirst("\\.$", "")).toList()));
        } else if (steps == Steps.TABLE) {
            page.table(items.stream().map(item -> List.of("", item)).toList());
        }
        for (int i = 0; i < items.size(); i++) {
            String item = items.get(i);
            switch (steps) {
                case LETTERS -> page.line((char) ('A' + i) + ". " + item);
                case SMALL_LETTERS -> page.line((char) ('a' + i) + ") " + item);
                case BLANKS -> page.line("____ " + item);
                case BLANKS_BEHIND -> page.line(item + " ____");
                case BOXES -> page.line("\u2610 " + item);
                case BULLETS -> page.line("\u2022 " + item);
                default -> {}
            }
        }
        boolean lettered = steps == Steps.LETTERS || steps == Steps.SMALL_LETTERS;
        boolean words = steps == Steps.BULLETS || steps == Steps.ONE_LINE;
        List<String> typed = new ArrayList<>();
        StringBuilder rest = new StringBuilder();
        for (int place : content.key()) {
            String item = steps == Steps.ONE_LINE ? items.get(place).replaceFirst("\\.$", "") : items.get(place);
            rest.append("\n    = ").append(item);
            typed.add(
                    lettered
                            ? String.valueOf((char) ((steps == Steps.LETTERS ? 'A' : 'a') + place))
                            : item.replaceFirst("\\.$", ""));
        }
        if (!lettered && !words) {
            typed.clear();
            IntStream.range(0, items.size())
                    .forEach(i -> typed.add(String.valueOf(content.key().indexOf(i) + 1)));
        }
        answer(String.join(lettered || !words ? ", " : " \u2013 ", typed));
        expect("order", content.stem(), keyed(rest.toString()));
    }

    private void bank(Content.Bank content) {
        stem(content.stem());
        String text = content.text();
        for (int i = 1; text.contains("_ ") || text.endsWith("_"); i++) {
            text = text.replaceFirst("_", numberedGaps ? "(" + i + ") ......" : "......");
        }
        String typed = text.replace("......", "________");
        List<String> words = content.words();
        if (bank == Bank.BELOW) {
            page.line(typed);
        }
        switch (bank) {
            case WORDS_LINE -> page.line(say("Words") + ": " + String.join(", ", words));
            case BARE_LINE, BELOW -> page.line(String.join("     ", words));
            case STROKES -> page.line(String.join(" / ", words));
            case DASHES -> page.line(String.join(" \u2013 ", words));
            case BRACKETS -> page.line("[" + String.join(", ", words) + "]");
            case BOX -> page.table(List.of(List.of(String.join("   ", words))));
            case CELLS -> page.table(List.of(words));
        }
        if (bank != Bank.BELOW) {
            page.line(typed);
        }
        List<String> right = content.key().stream().map(words::get).toList();
        answer(
                numberedGaps
                        ? IntStream.range(0, right.size())
                                .mapToObj(i -> "(" + (i + 1) + ") " + right.get(i))
                                .collect(Collectors.joining(", "))
                        : String.join(", ", right));
        String shown = content.text();
        for (int i = 1; shown.contains("_"); i++) {
            shown = shown.replaceFirst("_", "[[" + i + "]]");
        }
        expect("gap-match", content.stem() + " " + shown, keyed("\n    = " + String.join("\n    = ", right)));
    }
}
