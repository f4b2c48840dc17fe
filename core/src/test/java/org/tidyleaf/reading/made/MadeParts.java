package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * A paper of questions in parts, as examinations print them: what heads a question, how its parts are named, where their marks and
 * sums stand, how much room is left for answers, and answers by question and part at the end perhaps; and what is to be understood of
 * it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeParts extends Drawn {

    private static final int FEWEST = 2;
    private static final String RULE = "______________________________________________________________";

    /** How a question begins, before what its parts are about. */
    private enum Head {
        DOT("%1$d. "),
        BRACKET("%1$d) "),
        BARE("%1$d  "),
        BARE_TAB("%1$d\t"),
        WORD_DOT("%2$s %1$d. "),
        WORD_COLON("%2$s %1$d: "),
        Q("Q%1$d. "),
        WORD_ALONE("%2$s %1$d"),
        WORD_CAPITALS("%3$s %1$d");

        private final String format;

        Head(String format) {
            this.format = format;
        }

        String typed(int number, String word) {
            return format.formatted(number, word, word.toUpperCase(Locale.ROOT));
        }

        boolean alone() {
            return this == WORD_ALONE || this == WORD_CAPITALS;
        }
    }

    private enum Part {
        BRACKETS("(a) "),
        BRACKET("a) "),
        DOT("a. "),
        TAB("(a)\t"),
        NUMERALS("(i) "),
        NUMBER_AND_LETTER("1a) "),
        DECIMALS("1.1 "),
        AUTOMATIC("a) ");

        private static final List<String> SMALL = List.of("i", "ii", "iii", "iv", "v");

        private final String format;

        Part(String format) {
            this.format = format;
        }

        /** As the reading names it. */
        String name(int number, int place) {
            return switch (this) {
                case DECIMALS -> number + "." + place;
                case NUMERALS -> number + SMALL.get(place - 1);
                default -> number + String.valueOf((char) ('a' + place - 1));
            };
        }

        String typed(int number, int place) {
            return switch (this) {
                case AUTOMATIC -> "";
                case NUMERALS -> "(" + SMALL.get(place - 1) + ") ";
                case DECIMALS -> number + "." + place + " ";
                default -> format.replace("1", String.valueOf(number)).replace('a', (char) ('a' + place - 1));
            };
        }
    }

    private enum Points {
        NONE(""),
        BRACKETS(" [%1$d]"),
        WORD(" (%1$d %2$s)"),
        WORD_BRACKETS(" [%1$d %2$s]"),
        TAB("\t[%1$d]"),
        TAB_WORD("\t(%1$d %2$s)"),
        LINE("(%1$d)"),
        OUT_OF("   ___ / %1$d");

        private final String format;

        Points(String format) {
            this.format = format;
        }

        String typed(int points, String word) {
            return format.formatted(points, word);
        }
    }

    /** Where the sum of a question stands. */
    private enum Sum {
        NONE,
        HEAD,
        END,
        END_WORDS
    }

    private enum Key {
        NONE,
        LINES,
        LINE_EACH,
        HEADED,
        ROW
    }

    private enum Room {
        NONE,
        BLANK,
        RULES,
        DOTS
    }

    /**
     * What one part asks.
     *
     * @param text with "_" for a gap
     * @param answer in words, empty where one of the options is right
     */
    private record Item(String type, String text, String answer, int points, List<String> options, int right) {

        String typed() {
            return text.replace("_", "______________");
        }

        String shown() {
            return text.replace("_", "[[1]]");
        }

        boolean hasGap() {
            return text.contains("_");
        }

        /** As a key gives it. */
        String said() {
            return options.isEmpty() ? answer : String.valueOf((char) ('A' + right));
        }
    }

    /** A question whose answers stand at the end: each part's name and words. */
    private record Answers(String number, List<String> parts, List<String> words) {}

    private final Head head;
    private final Part part;
    private final Points points;
    private final Sum sum;
    private final Key key;
    private final Room room;
    private final boolean indented;
    private final boolean firstBeside;
    private final boolean leadBelow;
    private final Look look;
    private final String ending;
    private final List<Answers> answers = new ArrayList<>();
    private String under = "";

    public MadeParts(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xA24BAED4963EE407L);
        head = one(Head.values());
        part = one(Part.values());
        Points drawnPoints = one(Points.values());
        // Web pages keep no wide spaces, so that such room would be a gap there.
        points = drawnPoints == Points.OUT_OF && format.equals("html") ? Points.WORD : drawnPoints;
        sum = points == Points.NONE ? Sum.NONE : one(Sum.values());
        key = one(Key.values());
        Room drawn = one(Room.values());
        // Where nothing else tells it, room tells a word from a text.
        room = points == Points.NONE && key == Key.NONE ? Room.RULES : drawn;
        indented = random.nextBoolean();
        firstBeside = !head.alone() && part.format.startsWith("(") && random.nextBoolean();
        leadBelow = head.alone() || part != Part.DECIMALS && random.nextInt(5) == 0;
        look = random.nextInt(3) == 0 ? Look.BOLD : Look.PLAIN;
        write();
        ending = page.isPlain() && random.nextInt(5) == 0 ? "txt" : format;
    }

    @Override
    public String habits() {
        return head + " " + look + " " + part + " points " + points + " sum " + sum + " key " + key + " room " + room
                + (indented ? " indented" : "") + (firstBeside ? " first beside" : "")
                + (leadBelow ? " lead below" : "")
                + " " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: examination", Look.BOLD);
        page.line(say("Name") + ": ____________________      " + say("Date") + ": ______________");
        page.blank();
        List<Item> items = items();
        List<String> leads = leads();
        int questions = FEWEST + random.nextInt(3);
        int at = 0;
        for (int i = 0; i < questions && at + 2 <= items.size(); i++) {
            boolean alone = head.alone() && part == Part.DECIMALS;
            boolean bare = random.nextInt(3) == 0 && firstBeside;
            boolean led = i < leads.size() && !bare;
            boolean single = !alone && (random.nextInt(4) == 0 && i > 0 || !led && !firstBeside);
            int parts = single ? 1 : Math.min(items.size() - at, FEWEST + random.nextInt(3));
            String lead = single || !led ? "" : leads.get(i);
            question(lead, items.subList(at, at + parts));
            at += parts;
        }
        if (key != Key.NONE && key != Key.LINE_EACH) {
            page.blank();
            page.line(say("Answer key"), Look.BOLD);
            answers.forEach(this::answerLines);
        }
    }

    /** All that can be asked, in any order. */
    private List<Item> items() {
        List<Item> items = new ArrayList<>();
        language.asked().forEach(asked -> items.add(item("text-entry", asked, 1)));
        language.essays().forEach(asked -> items.add(item("extended-text", asked, 3)));
        language.gaps().forEach(asked -> items.add(item("text-entry", asked, 1)));
        language.numbers()
                .forEach(asked -> items.add(
                        new Item("numeric-entry", asked.text(), asked.value() + " " + asked.unit(), 2, List.of(), 0)));
        language.choices()
                .forEach(choice -> items.add(new Item(
                        "single-choice",
                        choice.stem(),
                        "",
                        1,
                        choice.options(),
                        choice.right().iterator().next())));
        Collections.shuffle(items, random);
        return items;
    }

    private static Item item(String type, Content.Asked asked, int points) {
        return new Item(type, asked.text(), asked.accepted().get(0), points, List.of(), 0);
    }

    /** What parts may be about. */
    private List<String> leads() {
        List<String> leads = new ArrayList<>();
        if (!head.alone() || part != Part.DECIMALS) {
            // Below the name of a part of the paper a single sentence may be what is to be done.
            language.parts().forEach(parts -> leads.add(parts.lead()));
        }
        language.passages().forEach(passage -> leads.addAll(passage.paragraphs()));
        Collections.shuffle(leads, random);
        return leads;
    }

    private void question(String lead, List<Item> items) {
        number++;
        boolean single = items.size() == 1;
        int worth = items.stream().mapToInt(Item::points).sum();
        String summed = sum == Sum.HEAD && !single ? " (" + worth + " " + say("points") + ")" : "";
        String typed = head.typed(number, say("Question"));
        if (head.alone() || !lead.isEmpty() && leadBelow && !summed.isEmpty()) {
            page.line(typed.strip() + summed, head.alone() ? Look.BOLD : look);
            if (!lead.isEmpty()) {
                page.line(lead);
            }
        } else if (!lead.isEmpty()) {
            page.line(List.of(new Words(typed, look), new Words(lead + summed, Look.PLAIN)), 0, 0);
        }
        boolean headed = head.alone() || !lead.isEmpty();
        if (head.alone() && part == Part.DECIMALS) {
            // Numbers of two levels are numbers for themselves; the outer one heads a part of the paper.
            expected.append("== ").append(typed.strip()).append('\n');
        }
        if (single) {
            single(headed ? "" : typed, items.get(0));
        } else {
            under(lead);
            parts(headed ? "" : typed, items);
        }
        if (!single && sum == Sum.END) {
            page.line("[" + say("Total") + ": " + worth + "]");
        } else if (!single && sum == Sum.END_WORDS) {
            page.line("(" + say("Total") + ": " + worth + " " + say("points") + ")", Look.BOLD);
        }
        page.blank();
    }

    private void under(String lead) {
        if (!lead.equals(under)) {
            expected.append(("-- " + lead.substring(0, Math.min(40, lead.length()))).strip())
                    .append('\n');
        }
        under = lead;
    }

    private void single(String typed, Item item) {
        under("");
        answers.add(new Answers(String.valueOf(number), List.of(""), new ArrayList<>()));
        typed(typed, String.valueOf(number), item, 0, 0);
    }

    private void parts(String before, List<Item> items) {
        answers.add(new Answers(String.valueOf(number), new ArrayList<>(), new ArrayList<>()));
        int list = part == Part.AUTOMATIC ? page.list(new Page.Numbering('a', ")")) : 0;
        for (int i = 0; i < items.size(); i++) {
            String label = (i == 0 ? before : "") + part.typed(number, i + 1);
            answers.get(answers.size() - 1).parts().add(part.name(0, i + 1).substring(part == Part.DECIMALS ? 2 : 1));
            typed(label, part.name(number, i + 1), items.get(i), i == 0 && !before.isEmpty() ? 0 : 1, list);
        }
    }

    private void typed(String label, String name, Item item, int indent, int list) {
        String worth = points.typed(item.points(), say("points"));
        boolean own = points == Points.LINE;
        String text = label + item.typed() + (own ? "" : worth);
        page.line(List.of(new Words(text, Look.PLAIN)), indented ? indent : 0, list);
        expected.append(name)
                .append(' ')
                .append(item.type())
                .append(points == Points.NONE ? " " : " " + item.points() + "p ")
                .append(item.shown());
        if (item.options().isEmpty()) {
            room(item);
            expected.append(key == Key.NONE ? "" : "\n    = " + item.answer());
        } else {
            options(item);
        }
        expected.append('\n');
        if (own) {
            page.line(worth);
        }
        if (key == Key.LINE_EACH) {
            page.line(say("Answer") + ": " + item.said());
        }
        answers.get(answers.size() - 1).words().add(item.said());
    }

    private void options(Item item) {
        for (int i = 0; i < item.options().size(); i++) {
            String option = item.options().get(i);
            page.line(List.of(new Words((char) ('A' + i) + "  " + option, Look.PLAIN)), indented ? 2 : 0, 0);
            boolean told = key != Key.NONE && i == item.right();
            expected.append(told ? "\n    * " : "\n    - ").append(option);
        }
    }

    private void room(Item item) {
        int lines = item.hasGap() ? 0 : item.type().equals("extended-text") ? 3 : 1;
        for (int i = 0; i < lines; i++) {
            switch (room) {
                case BLANK -> page.blank();
                case RULES -> page.line(RULE);
                case DOTS -> page.line(".".repeat(80));
                case NONE -> {}
            }
        }
    }

    private void answerLines(Answers of) {
        boolean single = of.parts().equals(List.of(""));
        boolean decimals = part == Part.DECIMALS && !single;
        List<String> named = new ArrayList<>();
        for (int i = 0; i < of.parts().size(); i++) {
            String name = of.parts().get(i);
            String before = single ? "" : decimals ? of.number() + "." + name + " " : "(" + name + ") ";
            named.add(before + of.words().get(i));
        }
        String number = decimals ? "" : of.number();
        switch (key) {
            case LINES -> named.forEach(words -> page.line(number + (single ? " " : "") + words));
            case HEADED -> {
                page.line(say("Question") + " " + of.number(), Look.BOLD);
                named.forEach(page::line);
            }
            default -> page.line((decimals ? "" : number + ". ") + String.join("   ", named));
        }
    }
}
