package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;

/** A test as a page of the web: lists within lists, forms with buttons, boxes and fields, or lines with breaks. */
public final class MadeWeb extends Drawn {

    private static final int FEWEST = 2;

    private enum Stems {
        LIST,
        PARAGRAPH,
        HEADING,
        HEADING_ABOVE,
        LEGEND,
        DIV_BOLD
    }

    private enum Options {
        LIST_OF_LETTERS,
        BULLETS,
        BUTTONS,
        BUTTONS_WITH_LETTERS,
        BUTTONS_IN_LABELS,
        BREAKS,
        PARAGRAPHS,
        TABLE
    }

    private enum Key {
        NONE,
        BOLD,
        MARK,
        CHECKED,
        ANSWER_LINE,
        FOLDED,
        LIST
    }

    private final Stems stems;
    private final Options options;
    private final Key key;
    private final boolean parts;
    private final boolean fields;
    private final StringBuilder html = new StringBuilder();
    private final List<String> answers = new ArrayList<>();
    private int part;

    public MadeWeb(long seed, String languageCode) {
        super(seed, languageCode, 0xBF58476D1CE4E5B9L);
        stems = one(Stems.values());
        options = one(Options.values());
        key = drawnKey();
        parts = random.nextBoolean();
        fields = random.nextBoolean();
        write();
    }

    /** Letters are named where there are some, and buttons checked. */
    private Key drawnKey() {
        boolean named = options == Options.LIST_OF_LETTERS
                || options == Options.BREAKS
                || options == Options.BUTTONS_WITH_LETTERS
                || options == Options.PARAGRAPHS;
        boolean buttons = options.name().startsWith("BUTTONS");
        Key drawn = one(Key.values());
        while (drawn == Key.CHECKED && !buttons
                || (drawn == Key.ANSWER_LINE || drawn == Key.LIST || drawn == Key.FOLDED) && !named) {
            drawn = one(Key.values());
        }
        return drawn;
    }

    @Override
    public String habits() {
        return stems + " " + options + " " + key + (parts ? " parts" : "") + (fields ? " fields" : "");
    }

    @Override
    String ending() {
        return "html";
    }

    @Override
    public String text() {
        return html.toString();
    }

    @Override
    public byte[] bytes() {
        return html.toString().getBytes(StandardCharsets.UTF_8);
    }

    private void line(String markup) {
        html.append(markup).append('\n');
    }

    private void write() {
        line("<!DOCTYPE html><html><head><meta charset=\"utf-8\"><title>Keeping Bees: review</title></head><body>");
        line("<h1>Keeping Bees: review</h1>");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part("Multiple choice", 5, language.choices(), this::choice),
                () -> part("True or false", 4, language.statements(), this::statement),
                () -> part("Complete the sentences", 4, language.gaps(), this::gap),
                () -> part("Short answers", 3, language.asked(), this::asked)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(3)).forEach(Runnable::run);
        if (key == Key.LIST) {
            line("<h2>" + say("Answer key") + "</h2>");
            answers.forEach(answer -> line("<p>" + answer + "</p>"));
        }
        line("</body></html>");
    }

    private <T> void part(String title, int most, List<T> content, Consumer<T> type) {
        List<T> items = some(content, FEWEST, most);
        if (parts) {
            String head = say("Part") + " " + (char) ('A' + part++) + ": " + say(title);
            line("<h2>" + head + "</h2>");
            expected.append("== ").append(head).append('\n');
        }
        if (stems == Stems.LIST) {
            line("<ol start=\"" + (number + 1) + "\">");
        }
        items.forEach(type);
        if (stems == Stems.LIST) {
            line("</ol>");
        }
    }

    /** Opens the question; what belongs to it comes before it is closed. */
    private void stem(String markup) {
        number++;
        String asked = say("Question") + " " + number;
        line(
                switch (stems) {
                    case LIST -> "<li>" + markup;
                    case PARAGRAPH -> "<p>" + number + ". " + markup + "</p>";
                    case HEADING -> "<h3>" + number + ". " + markup + "</h3>";
                    case HEADING_ABOVE -> "<h3>" + asked + "</h3><p>" + markup + "</p>";
                    case LEGEND -> "<fieldset><legend>" + number + ". " + markup + "</legend>";
                    case DIV_BOLD -> "<div class=\"q\"><b>" + number + ".</b> " + markup + "</div>";
                });
    }

    private void close() {
        if (stems == Stems.LIST) {
            line("</li>");
        } else if (stems == Stems.LEGEND) {
            line("</fieldset>");
        }
    }

    private String marked(String words, boolean right) {
        return !right || key != Key.BOLD && key != Key.MARK
                ? words
                : key == Key.BOLD ? "<strong>" + words + "</strong>" : "<mark>" + words + "</mark>";
    }

    private void choice(Content.Choice choice) {
        stem(WebPage.escaped(choice.stem()));
        int right = choice.right().iterator().next();
        List<String> typed = new ArrayList<>();
        for (int i = 0; i < choice.options().size(); i++) {
            String words = WebPage.escaped(choice.options().get(i));
            String letter = (char) ('A' + i) + ") ";
            String button = "<input type=\"radio\" name=\"q" + number + "\""
                    + (key == Key.CHECKED && i == right ? " checked" : "") + "> ";
            typed.add(
                    switch (options) {
                        case LIST_OF_LETTERS, BULLETS -> "<li>" + marked(words, i == right) + "</li>";
                        case BUTTONS -> button + marked(words, i == right) + "<br>";
                        case BUTTONS_WITH_LETTERS -> button + letter + marked(words, i == right) + "<br>";
                        case BUTTONS_IN_LABELS ->
                            "<div><label>" + button + "<span>" + marked(words, i == right) + "</span></label></div>";
                        case BREAKS -> letter + marked(words, i == right) + "<br>";
                        case PARAGRAPHS -> "<p>" + marked(letter + words, i == right) + "</p>";
                        case TABLE ->
                            "<tr><td>" + (char) ('A' + i) + "</td><td>" + marked(words, i == right) + "</td></tr>";
                    });
        }
        String all = String.join("\n", typed);
        line(
                switch (options) {
                    case LIST_OF_LETTERS -> "<ol type=\"A\">" + all + "</ol>";
                    case BULLETS -> "<ul>" + all + "</ul>";
                    case TABLE -> "<table>" + all + "</table>";
                    case BREAKS -> "<p>" + all + "</p>";
                    case BUTTONS, BUTTONS_WITH_LETTERS -> "<div>" + all + "</div>";
                    default -> all;
                });
        answer(String.valueOf((char) ('A' + right)));
        close();
        expect("single-choice", choice.stem(), offered(choice, key != Key.NONE));
    }

    private void answer(String words) {
        switch (key) {
            case ANSWER_LINE -> line("<p><em>" + say("Answer") + ":</em> " + words + "</p>");
            case FOLDED -> line("<details><summary>" + say("Answer") + "</summary>" + words + "</details>");
            case LIST -> answers.add(number + ". " + words);
            default -> {}
        }
    }

    private boolean told() {
        return key == Key.ANSWER_LINE || key == Key.LIST || key == Key.FOLDED;
    }

    private String keyed(String words) {
        return told() ? "\n    = " + words : "";
    }

    private void statement(Content.Statement statement) {
        stem(statement.text() + " (" + say("True") + " / " + say("False") + ")");
        boolean right = statement.right();
        answer(say(right ? "True" : "False"));
        close();
        expect("true-false", statement.text(), judged(told(), right));
    }

    private void gap(Content.Asked asked) {
        stem(asked.text().replace("_", fields ? "<input type=\"text\" size=\"12\">" : "________"));
        answer(asked.accepted().get(0));
        close();
        expect(
                "text-entry",
                asked.text().replace("_", "[[1]]"),
                keyed(asked.accepted().get(0)));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        if (!told()) {
            line(fields ? "<p><input type=\"text\"></p>" : "<p>______________________</p>");
        }
        answer(asked.accepted().get(0));
        close();
        expect("text-entry", asked.text(), keyed(asked.accepted().get(0)));
    }
}
