package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.reading.Wording;

/**
 * Quiet advice on how choices are written, after the guidelines collected by Haladyna, Downing and Rodriguez ("A Review of
 * Multiple-Choice Item-Writing Guidelines for Classroom Assessment", Applied Measurement in Education 15, 2002, pages 309
 * to 334; their wording is given from memory). The limits are ours. Advice never blocks anything.
 */
public final class Advice {

    /** The right option is called long when it has so many times the letters of the longest wrong one. */
    private static final double MARKEDLY = 1.4;

    private static final int LEAST_LETTERS = 12;
    private static final int SHORTEST_STEM_WORDS = 4;

    /** Right answers pile up when a letter has more than half of at least so many. */
    private static final int ENOUGH_QUESTIONS = 8;

    private Advice() {}

    /** Sentences for one question; none where there is nothing to say. */
    public static List<String> of(Question question) {
        List<String> advice = new ArrayList<>();
        if (question instanceof ChoiceQuestion choice && !(question instanceof TrueFalse)) {
            longest(choice).ifPresent(advice::add);
            options(choice, advice);
            stem(choice.particulars().stem(), advice);
        }
        return advice;
    }

    private static Optional<String> longest(ChoiceQuestion choice) {
        int right = 0;
        int wrong = 0;
        for (int i = 0; i < choice.options().size(); i++) {
            int length = choice.options().get(i).text().plain().length();
            if (choice.key().contains(i)) {
                right = Math.max(right, length);
            } else {
                wrong = Math.max(wrong, length);
            }
        }
        boolean tells = choice.key().size() == 1 && right >= LEAST_LETTERS && right > wrong * MARKEDLY;
        return tells
                ? Optional.of("The right option is much longer than the others; keep them about equal.")
                : Optional.empty();
    }

    private static void options(ChoiceQuestion choice, List<String> advice) {
        for (int i = 0; i < choice.options().size(); i++) {
            Option option = choice.options().get(i);
            if (Wording.refersToOthers(option)) {
                advice.add("\u201c" + option.text().plain() + "\u201d can be found out without knowing all; name the"
                        + " things instead.");
            }
            Optional<String> absolute = Wording.absolute(option.text().plain());
            if (absolute.isPresent()
                    && choice.isKeyed()
                    && !choice.key().contains(i)
                    && !Wording.refersToOthers(option)) {
                advice.add("\u201c" + absolute.get() + "\u201d in a wrong option gives it away.");
            }
        }
    }

    private static void stem(Prose stem, List<String> advice) {
        Wording.negation(stem.plain())
                .filter(word -> !isEmphasised(stem, word))
                .ifPresent(word -> advice.add("\u201c" + word + "\u201d is easily read over; set it in bold or turn the"
                        + " question round."));
        boolean brief = stem.plain().split("\\s+").length < SHORTEST_STEM_WORDS;
        if (brief && !stem.plain().endsWith("?") && stem.pictures().isEmpty()) {
            advice.add("The question itself says little; let it ask, and keep the options short.");
        }
    }

    private static boolean isEmphasised(Prose stem, String word) {
        return word.equals(word.toUpperCase(java.util.Locale.ROOT)) && word.length() > 1
                || stem.parts().stream()
                        .anyMatch(part -> part instanceof Inline.Text text
                                && !text.emphasis().isEmpty()
                                && text.text().contains(word));
    }

    /** Where right answers pile up on one letter. */
    public static Optional<String> of(Quiz quiz) {
        int[] counts = new int[26];
        int all = 0;
        for (Question question : quiz.questions()) {
            if (question instanceof ChoiceQuestion choice
                    && !(question instanceof TrueFalse)
                    && choice.key().size() == 1) {
                int place = choice.key().iterator().next();
                counts[Math.min(place, 25)]++;
                all++;
            }
        }
        for (int i = 0; i < counts.length; i++) {
            if (all >= ENOUGH_QUESTIONS && counts[i] * 2 > all) {
                return Optional.of(
                        counts[i] + " of " + all + " right answers are option " + (char) ('A' + i) + "; spread them.");
            }
        }
        return Optional.empty();
    }
}
