package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;

/**
 * A test in Markdown as assistants write it into a chat, with the words around it, and what is to be understood of it, as
 * {@code Shown} in the package above shows a reading.
 */
public final class MadeChat extends Drawn {

    private static final int FEWEST = 2;

    private enum Numbers {
        PLAIN("%d. %s"),
        BOLD_ALL("**%d. %s**"),
        BOLD_NUMBER("**%d.** %s"),
        BOLD_QUESTION("**Question %d:** %s"),
        BOLD_LINE("**Question %d**\n\n%s"),
        HEADING("### %d. %s"),
        HEADING_LINE("### Question %d\n\n%s"),
        HEADING_COLON("### Question %d: %s"),
        Q("**Q%d.** %s"),
        Q_BOLD_ALL("**Q%d: %s**");

        private final String format;

        Numbers(String format) {
            this.format = format;
        }
    }

    private enum Options {
        BREAKS("%s) %s  "),
        PARAGRAPHS("%s) %s\n"),
        DASHES("- %s) %s"),
        DASHES_DOT("- %s. %s"),
        INDENTED("   - %s) %s"),
        STARS("* %s) %s"),
        BOLD_LETTERS("- **%s)** %s"),
        INDENTED_LINES("   %s) %s  "),
        BRACKETS("- (%s) %s");

        private final String format;

        Options(String format) {
            this.format = format;
        }
    }

    private enum Key {
        NONE,
        BOLD_LINE,
        LINE,
        BOLD_WORD,
        TICK_LINE,
        QUOTE,
        ITALIC,
        FOLDED,
        BOLD_OPTION,
        TICKED_OPTION,
        LIST,
        LIST_WITH_WHY,
        LIST_BOLD,
        TABLE
    }

    private record Answer(int number, String words, String option, String why) {}

    private final Numbers numbers;
    private final Options options;
    private final Key key;
    private final boolean small;
    private final boolean parts;
    private final boolean rules;
    private final boolean talk;
    private final boolean explained;
    private final StringBuilder markdown = new StringBuilder();
    private final List<Answer> answers = new ArrayList<>();
    private int part;

    public MadeChat(long seed, String languageCode) {
        super(seed, languageCode, 0xC2B2AE3D27D4EB4FL);
        numbers = one(Numbers.values());
        options = one(Options.values());
        key = one(Key.values());
        small = random.nextInt(4) == 0;
        parts = random.nextInt(3) > 0;
        rules = random.nextInt(3) == 0;
        talk = languageCode.equals("en") && random.nextBoolean();
        explained = key != Key.NONE && !key.name().startsWith("LIST") && key != Key.TABLE && random.nextInt(3) == 0;
        write();
    }

    @Override
    public String habits() {
        return numbers + " " + options + " " + key + (small ? " small" : "") + (parts ? " parts" : "")
                + (rules ? " rules" : "") + (talk ? " talk" : "") + (explained ? " explained" : "");
    }

    @Override
    public String text() {
        return markdown.toString();
    }

    @Override
    String ending() {
        return author % 4 == 0 ? "txt" : "md";
    }

    @Override
    public byte[] bytes() {
        return markdown.toString().getBytes(StandardCharsets.UTF_8);
    }

    private void line(String words) {
        markdown.append(words).append('\n');
    }

    private void write() {
        if (talk) {
            line("Sure! Here is a short quiz about keeping bees for your evening class:");
            line("");
        }
        line("# Keeping Bees: review");
        line("");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part("True or false", 4, language.statements(), this::statement),
                () -> part("Complete the sentences", 4, language.gaps(), this::gap),
                () -> part("Short answers", 3, language.asked(), this::asked),
                () -> part("Calculate", 2, language.numbers(), this::number)));
        Collections.shuffle(all, random);
        all = new ArrayList<>(all.subList(0, random.nextInt(4)));
        all.add(random.nextInt(all.size() + 1), () -> part("Multiple choice", 6, language.choices(), this::choice));
        all.forEach(Runnable::run);
        if (isListed()) {
            answerList();
        }
        if (talk) {
            line("");
            line("Let me know if you would like more questions or an easier version!");
        }
    }

    private boolean isListed() {
        return key.name().startsWith("LIST") || key == Key.TABLE;
    }

    private <T> void part(String title, int most, List<T> content, Consumer<T> type) {
        List<T> items = some(content, FEWEST, most);
        if (parts) {
            String head = say("Part") + " " + ++part + ": " + say(title);
            line("## " + head);
            line("");
            expected.append("== ").append(head).append('\n');
        }
        items.forEach(type);
    }

    private void stem(String words) {
        number++;
        line(numbers.format.replace("Question", say("Question")).formatted(number, words));
    }

    private void choice(Content.Choice choice) {
        stem(choice.stem());
        if (options != Options.INDENTED && options != Options.INDENTED_LINES || numbers != Numbers.PLAIN) {
            line("");
        }
        int right = choice.right().iterator().next();
        for (int i = 0; i < choice.options().size(); i++) {
            String letter = String.valueOf((char) ((small ? 'a' : 'A') + i));
            String typed = options.format.formatted(letter, choice.options().get(i));
            if (i == right && key == Key.BOLD_OPTION) {
                int at = typed.indexOf(options == Options.BOLD_LETTERS ? "** " : letter)
                        + (options == Options.BOLD_LETTERS ? 3 : 0);
                typed = typed.substring(0, at) + "**" + typed.substring(at).strip() + "**"
                        + (typed.endsWith("  ") ? "  " : typed.endsWith("\n") ? "\n" : "");
            } else if (i == right && key == Key.TICKED_OPTION) {
                typed = typed.stripTrailing() + " \u2705"
                        + (typed.endsWith("  ") ? "  " : typed.endsWith("\n") ? "\n" : "");
            }
            line(typed);
        }
        line("");
        String letter = String.valueOf((char) ((small ? 'a' : 'A') + right));
        answer(letter, choice.options().get(right), choice.why());
        expect("single-choice", choice.stem(), offered(choice, key != Key.NONE));
    }

    private void answer(String words, String option, String why) {
        String both = option.isEmpty() || random.nextBoolean() ? words : words + ") " + option;
        String name = say(random.nextBoolean() ? "Answer" : "Correct answer");
        switch (key) {
            case BOLD_LINE -> line("**" + name + ": " + both + "**");
            case LINE -> line(name + ": " + both);
            case BOLD_WORD -> line("**" + name + ":** " + both);
            case TICK_LINE -> line("\u2705 **" + name + ":** " + both);
            case QUOTE -> line("> **" + name + ":** " + both);
            case ITALIC -> line("*" + name + ": " + both + "*");
            case FOLDED -> line("<details><summary>" + name + "</summary>\n\n" + both + "\n\n</details>");
            case BOLD_OPTION, TICKED_OPTION -> {
                if (option.isEmpty()) {
                    line("**" + name + ":** " + words);
                }
            }
            default -> answers.add(new Answer(number, words, option, why));
        }
        if (explained && !why.isEmpty()) {
            line("");
            line("**" + say("Explanation") + ":** " + why);
        }
        if (!isListed() && key != Key.NONE) {
            line("");
        }
        if (rules) {
            line("---");
            line("");
        }
    }

    private String keyed(String words) {
        return key == Key.NONE ? "" : "\n    = " + words;
    }

    private void statement(Content.Statement statement) {
        stem(statement.text() + " (" + say("True") + " / " + say("False") + ")");
        line("");
        boolean right = statement.right();
        answer(say(right ? "True" : "False"), "", statement.why() == null ? "" : statement.why());
        boolean told = key != Key.NONE;
        expect("true-false", statement.text(), judged(told, right));
    }

    private void gap(Content.Asked asked) {
        stem(asked.text().replace("_", "\\_\\_\\_\\_\\_\\_\\_\\_"));
        line("");
        answer(asked.accepted().get(0), "", "");
        expect(
                "text-entry",
                asked.text().replace("_", "[[1]]"),
                keyed(asked.accepted().get(0)));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        line("");
        if (key == Key.NONE) {
            line("\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_\\_");
            line("");
        }
        answer(asked.accepted().get(0), "", "");
        expect("text-entry", asked.text(), keyed(asked.accepted().get(0)));
    }

    private void number(Content.Number asked) {
        stem(asked.text());
        line("");
        String value = asked.value() + " " + asked.unit();
        if (key == Key.NONE) {
            line(say("Answer") + ": \\_\\_\\_\\_\\_\\_\\_\\_ " + asked.unit());
            line("");
        }
        answer(value, "", "");
        expect("numeric-entry", asked.text(), keyed(value));
    }

    private void answerList() {
        line("## " + say("Answer key"));
        line("");
        if (key == Key.TABLE) {
            line("| " + say("Question") + " | " + say("Answer") + " |");
            line("|---|---|");
        }
        for (Answer answer : answers) {
            String both = answer.option().isEmpty() ? answer.words() : answer.words() + ") " + answer.option();
            switch (key) {
                case LIST -> line(answer.number() + ". " + answer.words());
                case LIST_BOLD -> line(answer.number() + ". **" + both + "**");
                case LIST_WITH_WHY ->
                    line(answer.number() + ". **" + both + "**"
                            + (answer.why().isEmpty() ? "" : " \u2013 " + answer.why()));
                default -> line("| " + answer.number() + " | " + answer.words() + " |");
            }
        }
    }
}
