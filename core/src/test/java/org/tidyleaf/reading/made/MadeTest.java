package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.made.Habits.Judging;
import org.tidyleaf.reading.made.Habits.Key;
import org.tidyleaf.reading.made.Habits.Layout;
import org.tidyleaf.reading.made.Habits.Letters;
import org.tidyleaf.reading.made.Habits.Numbers;
import org.tidyleaf.reading.made.Habits.Points;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/** A test typed by {@link Habits}, and what is to be understood of it, as {@code Shown} in the package above shows a reading. */
public final class MadeTest {

    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    private static final String TITLE = "Keeping Bees: end of course test";

    /** Stands for the name of a part. */
    private static final String NAME = "*";

    private final Language language;
    private final boolean english;
    private final int author;
    private final Random random;
    private final Habits habits;
    private final Page page = new Page();
    private final StringBuilder expected = new StringBuilder();
    private final List<String> numbers = new ArrayList<>();
    private final List<String> instructions = new ArrayList<>();
    private final List<String> answers = new ArrayList<>();
    private int number;
    private final String fileName;
    private String section = "";
    private String passage = "";
    private String shownSection = "";
    private String shownPassage = "";
    private int partsSoFar;
    private int list;

    /** @param format the ending of the file's name, "docx" for example, where plain text does not do */
    public MadeTest(long seed, String languageCode, String format) {
        language = Language.of(languageCode);
        english = languageCode.equals("en");
        author = (int) seed;
        random = new Random(seed * 0x9E3779B97F4A7C15L);
        habits = Habits.of(random);
        write();
        boolean plain = page.isPlain() && habits.key() != Key.BOLD && random.nextBoolean();
        fileName = "made." + (plain ? "txt" : format);
    }

    /** The habits that were drawn, for whoever looks into a test that failed. */
    public String habits() {
        return habits.toString();
    }

    /** What is to be done in each part, empty where nothing is said. */
    public List<String> instructions() {
        return instructions;
    }

    /** The page as text. */
    public String text() {
        return habits.wrapped() && english ? page.wrapped() : page.text();
    }

    public byte[] bytes() {
        return switch (fileName.substring(fileName.indexOf('.') + 1)) {
            case "docx" -> WordPage.save(page);
            case "odt" -> OpenPage.save(page);
            case "rtf" -> RichPage.save(page);
            case "html" -> WebPage.save(page);
            case "pdf" -> PaperPage.save(page);
            default -> text().getBytes(StandardCharsets.UTF_8);
        };
    }

    public String expected() {
        return expected.toString().strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    public String fileName() {
        return fileName;
    }

    private void write() {
        if (habits.header()) {
            page.line("Wrenfield Evening College");
        }
        page.line(TITLE, Look.BOLD);
        if (habits.header()) {
            page.line(say("Name") + ": ____________________    " + say("Date") + ": ______________");
            page.blank();
        }
        list = page.list(new Page.Numbering('1', "."));
        List<Runnable> kinds = new ArrayList<>(List.of(
                () -> part("Multiple choice", "Choose the best answer.", 6, language.choices(), this::choice),
                () -> part("True or false", judgingWords(), 5, language.statements(), this::statement),
                () -> part("Complete the sentences", "Write one word in each gap.", 4, language.gaps(), this::gap),
                () -> part("Short answers", "Answer in a word or two.", 3, language.asked(), this::asked),
                () -> part("Several answers", "More than one answer is right.", 3, language.several(), this::choice),
                () -> part("Calculate", "Give the unit as well.", 3, language.numbers(), this::number),
                () -> part("Matching", "", 2, language.pairs(), this::pairs),
                () -> part("Ordering", "", 2, language.steps(), this::steps),
                () -> part("Reading", "", 1, language.passages(), this::passage),
                () -> part("Gapped text", "", 2, language.banks(), this::bank),
                () -> part("Open questions", "", 2, language.parts(), this::lettered),
                () -> part("Essay questions", "Answer in full sentences.", 2, language.essays(), this::essay)));
        Collections.shuffle(kinds, random);
        kinds.subList(0, 3 + random.nextInt(4)).forEach(Runnable::run);
        if (habits.key().list()) {
            keyList();
        }
    }

    private String say(String english) {
        return language.say(english, author);
    }

    /** A habit's words with those of the language in place of the English ones. */
    private String inLanguage(String words) {
        return WORD.matcher(words).replaceAll(word -> say(word.group()));
    }

    /** A head's words in the language, and the part's name in place of the mark for it. */
    private String named(String head, String title) {
        String name = habits.heads() == Habits.Heads.CAPITALS ? say(title).toUpperCase(Locale.ROOT) : say(title);
        return inLanguage(head).replace(NAME, name);
    }

    private String judgingWords() {
        return switch (habits.judging()) {
            case BLANK -> "Write T for true or F for false on each line.";
            case HEADED -> "Write true or false.";
            case LETTERS -> "Circle T or F.";
            default -> "Are these statements true or false?";
        };
    }

    private <T> void part(String title, String instructions, int most, List<T> content, Consumer<T> write) {
        List<T> chosen = new ArrayList<>(content);
        Collections.shuffle(chosen, random);
        if (habits.parts()) {
            page.blank();
            String head = named(habits.heads().title(partsSoFar, NAME), title);
            String inKey = named(habits.heads().inKey(partsSoFar++, NAME), title);
            page.line(head + (habits.points() == Points.HEADING ? " (2 " + say("points each") + ")" : ""), Look.BOLD);
            section = head;
            if (!instructions.isEmpty()) {
                page.line(say(instructions));
            }
            this.instructions.add(say(instructions));
            if (habits.restart()) {
                number = 0;
                list = page.list(new Page.Numbering('1', "."));
                numbers.add("");
                answers.add(inKey);
            }
        }
        chosen.subList(0, Math.min(chosen.size(), 2 + random.nextInt(most))).forEach(write);
    }

    // -- the parts of a question

    private void stem(String front, String words, String behind) {
        number++;
        if (habits.airy()) {
            page.blank();
        }
        String printed = habits.numbers().format.contains("%")
                ? habits.numbers().format.replace("Question", say("Question")).formatted(number)
                : "";
        String text = (habits.points() == Points.BEFORE ? inLanguage(habits.points().words) : "")
                + words
                + behind
                + (habits.points() == Points.BEFORE ? "" : inLanguage(habits.points().words));
        if (habits.numbers() == Numbers.AUTOMATIC) {
            page.line(List.of(new Words(front + text, Look.PLAIN)), 0, list);
        } else if (habits.numbers() == Numbers.LINE_ABOVE) {
            page.line(printed, Look.BOLD);
            page.line(front + text);
        } else if (habits.numbers() == Numbers.BOLD) {
            page.line(List.of(new Words(front + printed, Look.BOLD), new Words(text, Look.PLAIN)), 0, 0);
        } else {
            page.line(front + printed + text);
        }
    }

    private void expect(String type, String stem, String rest) {
        place();
        expected.append(number).append(' ').append(type).append(habits.points() == Points.NONE ? " " : " 2p ");
        expected.append(stem).append(rest).append('\n');
    }

    private void place() {
        if (!section.equals(shownSection)) {
            expected.append("== ").append(section).append('\n');
        }
        if (!passage.equals(shownPassage)) {
            expected.append("-- ")
                    .append(passage, 0, Math.min(40, passage.length()))
                    .append('\n');
        }
        shownSection = section;
        shownPassage = passage;
    }

    private void answer(String words, String why) {
        if (habits.key().line()) {
            page.line(switch (habits.key()) {
                        case ANS_LINE -> say("Ans") + ": ";
                        case CORRECT_ANSWER_LINE -> say("Correct answer") + ": ";
                        default -> say("Answer") + ": ";
                    }
                    + words);
            if (habits.why() != Habits.Why.NONE && !why.isEmpty()) {
                page.line(inLanguage(habits.why().words) + why);
            }
        } else if (habits.key().list()) {
            numbers.add(String.valueOf(number));
            answers.add(words);
        }
        if (habits.labels()) {
            page.line(say("Difficulty") + ": " + say(number % 2 == 0 ? "easy" : "medium"));
        }
    }

    private boolean hasKey() {
        return habits.key().line() || habits.key().list();
    }

    // -- the types

    private void choice(Content.Choice choice) {
        String letters =
                choice.right().stream().sorted().map(habits.letters()::letter).collect(Collectors.joining(", "));
        boolean inFront = habits.key() == Key.LETTER_IN_FRONT;
        boolean short_ = choice.options().stream().mapToInt(String::length).sum() < 70;
        Layout layout = short_ ? habits.layout() : Layout.LINES;
        boolean single = habits.letters() != Letters.DIGIT && habits.letters() != Letters.NUMERAL;
        String front = inFront ? "__" + (single ? letters.replace(", ", "") : letters) + "__ " : "";
        if (layout == Layout.BEHIND_THE_STEM && habits.key().look() == Look.PLAIN && habits.points() == Points.NONE) {
            stem(front, choice.stem(), " " + String.join(" ", options(choice)));
        } else {
            stem(front, choice.stem(), "");
            options(layout, choice);
        }
        answer(letters, choice.why());
        boolean keyed = habits.key() != Key.NONE;
        StringBuilder rest = new StringBuilder();
        for (int i = 0; i < choice.options().size(); i++) {
            rest.append("\n    ")
                    .append(keyed && choice.right().contains(i) ? "* " : "- ")
                    .append(choice.options().get(i));
        }
        boolean several = choice.right().size() > 1;
        expect(several ? "multiple-choice" : "single-choice", choice.stem(), rest.toString());
    }

    private List<String> options(Content.Choice choice) {
        List<String> printed = new ArrayList<>();
        for (int i = 0; i < choice.options().size(); i++) {
            boolean right = choice.right().contains(i);
            String label = habits.letters() == Letters.AUTOMATIC
                    ? ""
                    : habits.letters().label(i);
            printed.add((right && habits.key() == Key.STAR_BEFORE ? "*" : "")
                    + label
                    + choice.options().get(i)
                    + (right ? behind() : ""));
        }
        return printed;
    }

    private String behind() {
        return switch (habits.key()) {
            case STAR_BEHIND -> " *";
            case TICK_BEHIND -> " \u2713";
            case CORRECT_BEHIND -> " (" + say("correct") + ")";
            default -> "";
        };
    }

    private void options(Layout layout, Content.Choice choice) {
        List<String> printed = options(choice);
        List<Words> words = new ArrayList<>();
        for (int i = 0; i < printed.size(); i++) {
            boolean right = choice.right().contains(i);
            words.add(new Words(printed.get(i), right ? habits.key().look() : Look.PLAIN));
        }
        int letters = habits.letters() == Letters.AUTOMATIC ? page.list(new Page.Numbering('a', ")")) : 0;
        switch (layout) {
            case ONE_LINE, BEHIND_THE_STEM -> page.line(joined(words, "   "), 0, 0);
            case ONE_LINE_OF_TABS -> page.line(joined(words, "\t"), 0, 0);
            case TWO_A_LINE -> {
                page.line(joined(words.subList(0, 2), "\t\t"), 0, 0);
                page.line(joined(words.subList(2, words.size()), "\t\t"), 0, 0);
            }
            case TABLE -> {
                if (habits.key().look() == Look.PLAIN) {
                    page.table(List.of(printed.subList(0, 2), printed.subList(2, printed.size())));
                } else {
                    words.forEach(option -> page.line(List.of(option), 0, letters));
                }
            }
            default -> words.forEach(option -> page.line(List.of(option), layout == Layout.INDENTED ? 1 : 0, letters));
        }
    }

    private static List<Words> joined(List<Words> words, String between) {
        List<Words> line = new ArrayList<>();
        for (Words word : words) {
            if (!line.isEmpty()) {
                line.add(new Words(between, Look.PLAIN));
            }
            line.add(word);
        }
        return line;
    }

    private void statement(Content.Statement statement) {
        boolean right = statement.right();
        String letter = say(right ? "T" : "F");
        Judging judging = habits.judging();
        if (!habits.parts() && (judging == Judging.HEADED || judging == Judging.BLANK)) {
            judging = Judging.SLASH;
        }
        boolean keyed = hasKey();
        String words = say(right ? "True" : "False");
        switch (judging) {
            case OPTIONS -> {
                Content.Choice choice =
                        new Content.Choice("", Set.of(right ? 0 : 1), "", List.of(say("True"), say("False")));
                stem(
                        habits.key() == Key.LETTER_IN_FRONT
                                ? "__" + habits.letters().letter(right ? 0 : 1) + "__ "
                                : "",
                        statement.text(),
                        "");
                options(Layout.LINES, choice);
                words = habits.letters().letter(right ? 0 : 1);
                keyed = habits.key() != Key.NONE;
            }
            case SLASH -> stem("", statement.text(), "  " + say("True") + " / " + say("False"));
            case FAR -> stem("", statement.text(), "\t" + say("True") + "\t" + say("False"));
            case IN_BRACKETS -> stem("", statement.text(), " (" + say("True") + "/" + say("False") + ")");
            case LETTERS -> {
                stem("", statement.text(), "\t" + say("T") + "   " + say("F"));
                words = letter;
            }
            case BOXES -> {
                stem("", statement.text(), "");
                page.line("\u2610 " + say("True") + "   \u2610 " + say("False"));
            }
            case BLANK -> {
                boolean inFront = habits.key() == Key.LETTER_IN_FRONT;
                stem(inFront ? "__" + letter + "__ " : "____ ", statement.text(), "");
                keyed |= inFront;
                words = letter;
            }
            default -> stem("", statement.text(), "");
        }
        answer(words, statement.why());
        // Where nothing but letters are printed, the words are ours.
        boolean named = habits.parts() || judging != Judging.LETTERS;
        expect(
                "true-false",
                statement.text(),
                "\n    " + (keyed && right ? "*" : "-") + " " + (named ? say("True") : "True") + "\n    "
                        + (keyed && !right ? "*" : "-") + " " + (named ? say("False") : "False"));
    }

    private void gap(Content.Asked asked) {
        stem("", asked.text().replace("_", habits.gap().printed), "");
        answer(String.join(" / ", asked.accepted()), "");
        // Where dots run into the full stop, nobody can tell it from them.
        String stem = habits.gap() == Habits.Gap.DOTS ? asked.text().replaceFirst("_\\.$", "_") : asked.text();
        expect("text-entry", stem.replace("_", "[[1]]"), key(String.join(" / ", asked.accepted())));
    }

    private void asked(Content.Asked asked) {
        stem("", asked.text(), "");
        if (!hasKey()) {
            page.line("______________________________");
        }
        answer(String.join(" / ", asked.accepted()), "");
        expect("text-entry", asked.text(), key(String.join(" / ", asked.accepted())));
    }

    private void number(Content.Number asked) {
        stem("", asked.text(), "");
        if (!hasKey()) {
            page.line(say("Answer") + ": ______________ " + asked.unit());
        }
        answer(asked.value() + " " + asked.unit(), "");
        expect("numeric-entry", asked.text(), key(asked.value() + " " + asked.unit()));
    }

    private void essay(Content.Asked asked) {
        stem("", asked.text(), "");
        if (!hasKey()) {
            page.line("______________________________________________________________");
            page.line("______________________________________________________________");
            page.line("______________________________________________________________");
        }
        answer(asked.accepted().get(0), "");
        expect("extended-text", asked.text(), key(asked.accepted().get(0)));
    }

    private String key(String words) {
        return hasKey() ? "\n    = " + words : "";
    }

    private void pairs(Content.Pairs pairs) {
        stem("", pairs.stem(), "");
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < pairs.rights().size(); i++) {
            String left =
                    i < pairs.lefts().size() ? (i + 1) + ") " + pairs.lefts().get(i) : "";
            rows.add(List.of(left, (char) ('A' + i) + ") " + pairs.rights().get(i)));
        }
        if (number % 2 == 0) {
            page.table(rows);
        } else {
            rows.forEach(row -> page.line(String.join("\t\t", row)));
        }
        StringBuilder typed = new StringBuilder();
        StringBuilder key = new StringBuilder();
        for (int i = 0; i < pairs.lefts().size(); i++) {
            typed.append(i == 0 ? "" : ", ").append(i + 1).append('-').append((char)
                    ('A' + pairs.key().get(i)));
            key.append("\n    = ")
                    .append(pairs.lefts().get(i))
                    .append(" = ")
                    .append(pairs.rights().get(pairs.key().get(i)));
        }
        answer(typed.toString(), "");
        expect("match", pairs.stem(), hasKey() ? key.toString() : "");
    }

    private void steps(Content.Steps steps) {
        stem("", steps.stem(), "");
        for (int i = 0; i < steps.items().size(); i++) {
            page.line((char) ('A' + i) + ". " + steps.items().get(i));
        }
        StringBuilder key = new StringBuilder();
        List<String> typed = new ArrayList<>();
        for (int place : steps.key()) {
            typed.add(String.valueOf((char) ('A' + place)));
            key.append("\n    = ").append(steps.items().get(place));
        }
        answer(String.join(", ", typed), "");
        expect("order", steps.stem(), hasKey() ? key.toString() : "");
    }

    private void passage(Content.Passage passage) {
        int last = number + passage.choices().size() + passage.asked().size();
        page.blank();
        String lead = say("Read the text and answer questions") + " " + (number + 1) + "-" + last + ".";
        page.line(lead);
        page.line(passage.title(), Look.BOLD);
        passage.paragraphs().forEach(page::line);
        this.passage = lead + " " + passage.title();
        passage.choices().forEach(this::choice);
        passage.asked().forEach(this::asked);
        this.passage = "";
    }

    private void bank(Content.Bank bank) {
        stem("", bank.stem(), "");
        String words = String.join(number % 2 == 0 ? ", " : "   ", bank.words());
        page.line(number % 2 == 0 ? say("Words") + ": " + words : words);
        page.line(bank.text().replace("_", habits.gap().printed));
        List<String> right = bank.key().stream().map(bank.words()::get).toList();
        answer(String.join(", ", right), "");
        String text = bank.text();
        for (int i = 1; text.contains("_"); i++) {
            text = text.replaceFirst("_", "[[" + i + "]]");
        }
        expect("gap-match", bank.stem() + " " + text, hasKey() ? "\n    = " + String.join("\n    = ", right) : "");
    }

    private void lettered(Content.Parts parts) {
        stem("", parts.lead(), "");
        passage = parts.lead();
        // What the whole is worth is shared out where it comes out even.
        String points = habits.points() == Points.NONE || parts.parts().size() != 2 ? " " : " 1p ";
        for (int i = 0; i < parts.parts().size(); i++) {
            Content.Asked asked = parts.parts().get(i);
            String letter = String.valueOf((char) ('a' + i));
            page.line("(" + letter + ") " + asked.text());
            if (!hasKey()) {
                page.line("______________________________________________________________");
                page.line("______________________________________________________________");
            }
            place();
            expected.append(number)
                    .append(letter)
                    .append(" extended-text")
                    .append(points)
                    .append(asked.text())
                    .append(hasKey() ? "\n    = " + asked.accepted().get(0) : "")
                    .append('\n');
            if (habits.key().line()) {
                page.line(say("Answer") + ": " + asked.accepted().get(0));
            } else if (habits.key().list()) {
                numbers.add(number + letter);
                answers.add(asked.accepted().get(0));
            }
        }
        passage = "";
    }

    // -- the key at the end

    private void keyList() {
        page.blank();
        page.line(say(random.nextBoolean() ? "Answer key" : "ANSWERS"), Look.BOLD);
        if (habits.key() == Key.LIST_IN_A_TABLE && !habits.restart()) {
            List<List<String>> rows = new ArrayList<>();
            rows.add(List.of(say("Question"), say("Answer")));
            for (int i = 0; i < numbers.size(); i++) {
                rows.add(List.of(numbers.get(i), answers.get(i)));
            }
            page.table(rows);
            return;
        }
        StringBuilder row = new StringBuilder();
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i).isEmpty()) {
                flush(row);
                if (habits.key() == Key.LIST_BY_PART) {
                    row.append(answers.get(i).replaceFirst("\\.$", "")).append(": ");
                } else {
                    page.line(answers.get(i));
                }
                continue;
            }
            row.append(row.isEmpty() ? "" : "   ")
                    .append(numbers.get(i))
                    .append(". ")
                    .append(answers.get(i));
            if (habits.key() != Key.LIST_IN_ROWS || row.length() > 60) {
                flush(row);
            }
        }
        flush(row);
    }

    private void flush(StringBuilder row) {
        if (!row.isEmpty()) {
            page.line(row.toString());
            row.setLength(0);
        }
    }
}
