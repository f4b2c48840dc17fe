package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.tidyleaf.reading.made.Page.Look;

/**
 * A class test with one task under each number: statements to judge that are counted anew, a text with gaps as a paragraph of its own,
 * choices, short answers and essays, with points beside the numbers and a teacher's answers below them in a colour; and what is to
 * be understood of it, as {@code Shown} in the package above shows a reading.
 */
public final class MadeTasks extends Drawn {

    private static final int FEWEST_WORDS = 4;

    /** How statements stand below the one number that they share. */
    private enum Judged {
        BRACKETS("%d) "),
        POINTS("%d. "),
        BARE("%d  "),
        BULLETS("\u2022 "),
        INDENTED("   %d) ");

        private final String label;

        Judged(String label) {
            this.label = label;
        }
    }

    /** Where it stands what a task is worth. */
    private enum Worth {
        NONE,
        BEHIND,
        FAR_BEHIND,
        BEFORE
    }

    private final Judged judged;
    private final Worth worth;
    private final boolean coloured;
    private final boolean spaced;
    private final String numbers;
    private final String ending;

    /** @param format the ending of the file's name, "docx" for example, where plain text does not do */
    public MadeTasks(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xB5297A4D3F84D5B5L);
        judged = one(Judged.values());
        worth = one(Worth.values());
        coloured = random.nextInt(3) == 0;
        spaced = random.nextBoolean();
        numbers = one(new String[] {"%d. ", "%d) ", "%d.) ", "%d.\t"});
        write();
        ending = page.isPlain() && random.nextInt(4) == 0 ? "txt" : format;
    }

    @Override
    public String habits() {
        return judged + " worth " + worth + (coloured ? " coloured" : "") + (spaced ? " spaced" : "") + " '" + numbers
                + "' " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: class test", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        page.blank();
        List<Runnable> tasks = new ArrayList<>();
        some(language.choices(), 2, 2).forEach(choice -> tasks.add(() -> choice(choice)));
        some(language.asked(), 2, 1).forEach(asked -> tasks.add(() -> asked(asked)));
        some(language.essays(), 1, 2).forEach(essay -> tasks.add(() -> essay(essay)));
        tasks.add(this::judged);
        tasks.add(this::gapped);
        Collections.shuffle(tasks, random);
        tasks.forEach(Runnable::run);
    }

    private void stem(String text, int points) {
        if (spaced) {
            page.blank();
        }
        String label = (worth == Worth.BEFORE ? points + " " + say("p") + " " : "") + numbers.formatted(++number);
        page.line(label
                + text
                + switch (worth) {
                    case BEHIND -> " (" + points + " " + say("points") + ")";
                    case FAR_BEHIND -> "\t/" + points;
                    default -> "";
                });
    }

    private void expectWorth(String type, int points, String stem, String rest) {
        expect(worth == Worth.NONE ? type : type + " " + points + "p", stem, rest);
    }

    private void choice(Content.Choice choice) {
        stem(choice.stem(), 1);
        for (int i = 0; i < choice.options().size(); i++) {
            page.line((char) ('a' + i) + ") " + choice.options().get(i));
        }
        expectWorth("single-choice", 1, choice.stem(), offered(choice, false));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text(), 1);
        String words = asked.accepted().get(0);
        page.line(coloured ? words : "______________________________", coloured ? Look.RED : Look.PLAIN);
        expectWorth("text-entry", 1, asked.text(), coloured ? "\n    = " + words : "");
    }

    private void essay(Content.Asked essay) {
        stem(essay.text(), 4);
        String words = essay.accepted().get(0);
        if (coloured) {
            page.line(words, Look.RED);
        } else {
            page.line("________________________________________________");
            page.line("________________________________________________");
        }
        expectWorth("extended-text", 4, essay.text(), coloured ? "\n    = " + words : "");
    }

    private void judged() {
        String told = say("Are these statements true or false?");
        List<Content.Statement> statements = language.statements().stream()
                .filter(statement -> statement.text().split("\\s+").length >= FEWEST_WORDS)
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.shuffle(statements, random);
        stem(told, 3);
        for (int i = 0; i < 3; i++) {
            page.line(judged.label.formatted(i + 1) + statements.get(i).text());
        }
        expectWorth("grid", 3, told, "");
    }

    private void gapped() {
        String told = say("Write one word in each gap.");
        List<String> sentences =
                some(language.gaps(), 3, 1).stream().map(Content.Asked::text).toList();
        String text = String.join(" ", sentences);
        stem(told, 3);
        page.blank();
        page.line(text.replace("_", "____________"));
        String shown = text;
        for (int gap = 1; shown.contains("_"); gap++) {
            shown = shown.replaceFirst("(?<!\\[)_", "[[" + gap + "]]");
        }
        expectWorth("text-entry", 3, told + " " + shown, "");
    }
}
