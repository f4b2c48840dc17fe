package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.made.Habits.Judging;
import org.tidyleaf.reading.made.Habits.Key;
import org.tidyleaf.reading.made.Habits.Layout;
import org.tidyleaf.reading.made.Habits.Letters;
import org.tidyleaf.reading.made.Habits.Points;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/** Types what is answered by choosing: options below a question, statements to judge. */
final class ChoiceKinds {

    private final Typist typist;

    ChoiceKinds(Typist typist) {
        this.typist = typist;
    }

    String judgingWords() {
        return switch (typist.habits().judging()) {
            case BLANK -> "Write T for true or F for false on each line.";
            case HEADED -> "Write true or false.";
            case LETTERS -> "Circle T or F.";
            default -> "Are these statements true or false?";
        };
    }

    void choice(Content.Choice choice) {
        String letters = choice.right().stream()
                .sorted()
                .map(typist.habits().letters()::letter)
                .collect(Collectors.joining(", "));
        boolean inFront = typist.habits().key() == Key.LETTER_IN_FRONT;
        boolean brief = choice.options().stream().mapToInt(String::length).sum() < 70;
        Layout layout = brief ? typist.habits().layout() : Layout.LINES;
        boolean single =
                typist.habits().letters() != Letters.DIGIT && typist.habits().letters() != Letters.NUMERAL;
        String front = inFront ? "__" + (single ? letters.replace(", ", "") : letters) + "__ " : "";
        if (layout == Layout.BEHIND_THE_STEM
                && typist.habits().key().look() == Look.PLAIN
                && typist.habits().points() == Points.NONE) {
            typist.stem(front, choice.stem(), " " + String.join(" ", options(choice)));
        } else {
            typist.stem(front, choice.stem(), "");
            if (typist.habits().pictures() && typist.number() % 2 == 1) {
                typist.picture();
            }
            options(layout, choice);
        }
        typist.answer(letters, choice.why());
        boolean keyed = typist.habits().key() != Key.NONE;
        StringBuilder rest = new StringBuilder();
        for (int i = 0; i < choice.options().size(); i++) {
            rest.append("\n    ")
                    .append(keyed && choice.right().contains(i) ? "* " : "- ")
                    .append(choice.options().get(i));
        }
        boolean several = choice.right().size() > 1;
        typist.expect(several ? "multiple-choice" : "single-choice", choice.stem(), rest.toString());
    }

    /** "The queen (lay / lays) eggs." */
    void alternatives(Content.Asked asked) {
        // Without a word on what is to be done they might be answers that were filled in.
        boolean square = typist.habits().parts() && typist.habits().gap() == Habits.Gap.BRACKETS;
        String stem = square ? asked.text().replace('(', '[').replace(')', ']') : asked.text();
        typist.stem("", stem, "");
        String right = asked.accepted().get(0);
        typist.answer(right, "");
        StringBuilder rest = new StringBuilder();
        for (String word : asked.text().replaceAll(".*\\(|\\).*", "").split(" / ")) {
            rest.append("\n    ")
                    .append(typist.hasKey() && word.equals(right) ? "* " : "- ")
                    .append(word);
        }
        typist.expect("single-choice", stem, rest.toString());
    }

    private List<String> options(Content.Choice choice) {
        List<String> printed = new ArrayList<>();
        for (int i = 0; i < choice.options().size(); i++) {
            boolean right = choice.right().contains(i);
            String label = typist.habits().letters() == Letters.AUTOMATIC
                    ? ""
                    : typist.habits().letters().label(i);
            printed.add((right && typist.habits().key() == Key.STAR_BEFORE ? "*" : "")
                    + label
                    + choice.options().get(i)
                    + (right ? behind() : ""));
        }
        return printed;
    }

    void options(Layout layout, Content.Choice choice) {
        List<String> printed = options(choice);
        List<Words> words = new ArrayList<>();
        for (int i = 0; i < printed.size(); i++) {
            boolean right = choice.right().contains(i);
            words.add(new Words(printed.get(i), right ? typist.habits().key().look() : Look.PLAIN));
        }
        int letters =
                typist.habits().letters() == Letters.AUTOMATIC ? typist.page().list(new Page.Numbering('a', ")")) : 0;
        switch (layout) {
            case ONE_LINE, BEHIND_THE_STEM -> typist.page().line(joined(words, "   "), 0, 0);
            case ONE_LINE_OF_TABS -> typist.page().line(joined(words, "\t"), 0, 0);
            case TWO_A_LINE -> {
                typist.page().line(joined(words.subList(0, 2), "\t\t"), 0, 0);
                typist.page().line(joined(words.subList(2, words.size()), "\t\t"), 0, 0);
            }
            case TABLE -> {
                if (typist.habits().key().look() == Look.PLAIN) {
                    typist.page().table(List.of(printed.subList(0, 2), printed.subList(2, printed.size())));
                } else {
                    words.forEach(option -> typist.page().line(List.of(option), 0, letters));
                }
            }
            default ->
                words.forEach(
                        option -> typist.page().line(List.of(option), layout == Layout.INDENTED ? 1 : 0, letters));
        }
    }

    private String behind() {
        return switch (typist.habits().key()) {
            case STAR_BEHIND -> " *";
            case TICK_BEHIND -> " \u2713";
            case CORRECT_BEHIND -> " (" + typist.say("correct") + ")";
            default -> "";
        };
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

    void statement(Content.Statement statement) {
        boolean right = statement.right();
        String letter = typist.say(right ? "T" : "F");
        Judging judging = typist.habits().judging();
        if (!typist.habits().parts() && (judging == Judging.HEADED || judging == Judging.BLANK)) {
            judging = Judging.SLASH;
        }
        boolean keyed = typist.hasKey();
        String words = typist.say(right ? "True" : "False");
        switch (judging) {
            case OPTIONS -> {
                Content.Choice choice = new Content.Choice(
                        "", Set.of(right ? 0 : 1), "", List.of(typist.say("True"), typist.say("False")));
                typist.stem(
                        typist.habits().key() == Key.LETTER_IN_FRONT
                                ? "__" + typist.habits().letters().letter(right ? 0 : 1) + "__ "
                                : "",
                        statement.text(),
                        "");
                options(Layout.LINES, choice);
                words = typist.habits().letters().letter(right ? 0 : 1);
                keyed = typist.habits().key() != Key.NONE;
            }
            case SLASH -> typist.stem("", statement.text(), "  " + typist.say("True") + " / " + typist.say("False"));
            case FAR -> typist.stem("", statement.text(), "\t" + typist.say("True") + "\t" + typist.say("False"));
            case IN_BRACKETS ->
                typist.stem("", statement.text(), " (" + typist.say("True") + "/" + typist.say("False") + ")");
            case LETTERS -> {
                typist.stem("", statement.text(), "\t" + typist.say("T") + "   " + typist.say("F"));
                words = letter;
            }
            case BOXES -> {
                typist.stem("", statement.text(), "");
                typist.page().line("\u2610 " + typist.say("True") + "   \u2610 " + typist.say("False"));
            }
            case BLANK -> {
                boolean inFront = typist.habits().key() == Key.LETTER_IN_FRONT;
                typist.stem(inFront ? "__" + letter + "__ " : "____ ", statement.text(), "");
                keyed |= inFront;
                words = letter;
            }
            default -> typist.stem("", statement.text(), "");
        }
        typist.answer(words, statement.why());
        typist.expect(
                "true-false",
                statement.text(),
                "\n    " + (keyed && right ? "*" : "-") + " " + typist.say("True") + "\n    "
                        + (keyed && !right ? "*" : "-") + " " + typist.say("False"));
    }
}
