package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/**
 * How parts of a question print below what they share: "6." above 6a and 6b, which print as (a) and (b); and below 6b, where
 * it has 6bi and 6bii, "(b)" with what only they share, above (i) and (ii). Above 6.1 and 6.2, which print as they are, it is "6." too.
 */
final class PrintedLeads {

    private static final Pattern PART = Pattern.compile("([A-Z]{0,3}\\d{1,3})([a-h](?=[ivx])|)([a-z]|[ivx]{1,4})");

    private static final Pattern SECOND_LEVEL = Pattern.compile("(\\d{1,3})\\.\\d{1,2}");

    private final Quiz quiz;

    /** Whether 6.1 is a part of 6 and not a question of an exercise 6, as it is where some such stand below no lead. */
    private final boolean secondLevelBelowLeads;

    PrintedLeads(Quiz quiz) {
        this.quiz = quiz;
        secondLevelBelowLeads = quiz.questions().stream()
                .map(Question::particulars)
                .allMatch(particulars -> particulars.stimulus() >= 0
                        || !SECOND_LEVEL.matcher(particulars.number()).matches());
    }

    /** "6. " or "(b) " before a passage; empty for one that is no lead of parts. */
    String label(int stimulus) {
        return parent(stimulus).isPresent()
                ? "(" + letter(stimulus) + ") "
                : whole(stimulus).map(number -> number + ". ").orElse("");
    }

    /** A passage without what the one above it said already. */
    Prose text(int stimulus) {
        Prose text = prose(stimulus);
        return parent(stimulus)
                .map(parent -> {
                    Prose shared = prose(parent);
                    List<Inline.Picture> pictures = new ArrayList<>(text.pictures());
                    pictures.removeAll(shared.pictures());
                    int from = shared.typed().length();
                    int behind = text.typed().startsWith("\n", from) ? from + 1 : from;
                    return text.cut(behind, text.typed().length()).plus(pictures);
                })
                .orElse(text);
    }

    /** "(a) " or "(i) " of a part below its lead; empty where a question stands for itself. */
    Optional<String> label(Question question) {
        int stimulus = question.particulars().stimulus();
        Matcher part = PART.matcher(question.particulars().number());
        boolean below = stimulus >= 0
                && part.matches()
                && (parent(stimulus).isPresent() || whole(stimulus).isPresent());
        if (!below) {
            return Optional.empty();
        }
        // A letter with nothing of its own to say stands before its first numeral.
        boolean first = part.group(3).equals("i")
                && parent(stimulus).isEmpty()
                && !part.group(2).isEmpty();
        String letter = first ? "(" + part.group(2) + ") " : "";
        return Optional.of(letter + "(" + part.group(3) + ") ");
    }

    private Prose prose(int stimulus) {
        return quiz.stimuli().get(stimulus).text();
    }

    private List<String> numbers(int stimulus) {
        return quiz.questions().stream()
                .map(Question::particulars)
                .filter(particulars -> particulars.stimulus() == stimulus)
                .map(Particulars::number)
                .toList();
    }

    /** The number that all questions of a passage share as its parts, "6" for 6a, 6b and those below 6c. */
    private Optional<String> whole(int stimulus) {
        List<String> numbers = new ArrayList<>(numbers(stimulus));
        for (int below = stimulus + 1; below < quiz.stimuli().size(); below++) {
            numbers.addAll(isBelow(below, stimulus) ? numbers(below) : List.of());
        }
        List<String> wholes = numbers.stream().map(this::above).distinct().toList();
        return numbers.size() > 1 && wholes.size() == 1 && !wholes.get(0).isEmpty()
                ? Optional.of(wholes.get(0))
                : Optional.empty();
    }

    /** "6" of 6a and of 6.1. */
    private String above(String number) {
        Matcher second = SECOND_LEVEL.matcher(number);
        return secondLevelBelowLeads && second.matches() ? second.group(1) : wholeOf(number);
    }

    /** The passage of the whole that a lettered part's own lead stands below. */
    private Optional<Integer> parent(int stimulus) {
        for (int above = stimulus - 1; above >= 0; above--) {
            if (isBelow(stimulus, above)) {
                return Optional.of(above);
            }
        }
        return Optional.empty();
    }

    private boolean isBelow(int stimulus, int above) {
        List<String> wholes = numbers(above).stream()
                .map(PART::matcher)
                .map(part -> part.matches() ? part.group(1) : "")
                .distinct()
                .toList();
        return !letter(stimulus).isEmpty()
                && wholes.equals(List.of(wholeOf(numbers(stimulus).get(0))))
                && prose(stimulus).typed().startsWith(prose(above).typed());
    }

    private static String wholeOf(String number) {
        Matcher part = PART.matcher(number);
        return part.matches() ? part.group(1) : "";
    }

    /** The "b" of 6bi and 6bii; empty where the questions of the passage are not all such. */
    private String letter(int stimulus) {
        List<String> letters = numbers(stimulus).stream()
                .map(PART::matcher)
                .map(part -> part.matches() ? part.group(2) : "")
                .distinct()
                .toList();
        return letters.size() == 1 ? letters.get(0) : "";
    }
}
