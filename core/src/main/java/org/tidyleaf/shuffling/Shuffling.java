package org.tidyleaf.shuffling;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Wording;

/**
 * Shuffles a test. Questions stay within their section and with the passage they share, whose own order is kept; options
 * that speak of others ("none of the above") stay at their place, and "True / False" is never turned round. The same seed
 * gives the same order everywhere ({@link Random} is specified to the bit).
 */
public final class Shuffling {

    private Shuffling() {}

    /** The 0-based places of the quiz's questions in their new order. */
    public static List<Integer> questions(Quiz quiz, long seed) {
        Random random = new Random(mixed(seed));
        List<Integer> order = new ArrayList<>();
        int from = 0;
        while (from < quiz.questions().size()) {
            int to = from;
            while (to < quiz.questions().size() && section(quiz, to) == section(quiz, from)) {
                to++;
            }
            List<List<Integer>> groups = groups(quiz, from, to);
            Collections.shuffle(groups, random);
            groups.forEach(order::addAll);
            from = to;
        }
        return order;
    }

    /**
     * Neighbouring seeds would give like orders otherwise: the finalizer of SplitMix64 (Steele, Lea and Flood, Fast
     * Splittable Pseudorandom Number Generators, OOPSLA 2014).
     */
    private static long mixed(long seed) {
        long mixed = (seed ^ (seed >>> 30)) * 0xBF58476D1CE4E5B9L;
        mixed = (mixed ^ (mixed >>> 27)) * 0x94D049BB133111EBL;
        return mixed ^ (mixed >>> 31);
    }

    private static int section(Quiz quiz, int place) {
        return quiz.questions().get(place).particulars().section();
    }

    /** Neighbours that share a passage stay together. */
    private static List<List<Integer>> groups(Quiz quiz, int from, int to) {
        List<List<Integer>> groups = new ArrayList<>();
        int shared = -1;
        for (int place = from; place < to; place++) {
            int stimulus = quiz.questions().get(place).particulars().stimulus();
            if (stimulus < 0 || stimulus != shared || groups.isEmpty()) {
                groups.add(new ArrayList<>());
            }
            groups.get(groups.size() - 1).add(place);
            shared = stimulus;
        }
        return groups;
    }

    /** The 0-based places of the options in their new order. */
    public static List<Integer> options(ChoiceQuestion choice, long seed) {
        List<Integer> moving = new ArrayList<>();
        for (int i = 0; i < choice.options().size(); i++) {
            if (moves(choice, choice.options().get(i))) {
                moving.add(i);
            }
        }
        List<Integer> shuffled = new ArrayList<>(moving);
        Collections.shuffle(shuffled, new Random(mixed(seed + choice.id().hashCode())));
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < choice.options().size(); i++) {
            int at = moving.indexOf(i);
            order.add(at < 0 ? i : shuffled.get(at));
        }
        return order;
    }

    private static boolean moves(ChoiceQuestion choice, Option option) {
        return choice.type() != QuestionType.TRUE_FALSE
                && choice.particulars().settings().order() != OptionOrder.KEPT
                && !Wording.refersToOthers(option);
    }

    /** The questions in another order and numbered anew, their options as they are. */
    public static Quiz ordered(Quiz quiz, long seed) {
        List<Question> questions =
                questions(quiz, seed).stream().map(quiz.questions()::get).toList();
        return quiz.withQuestions(numbered(questions));
    }

    /** The whole test in another order, its questions numbered anew and its options lettered anew. */
    public static Quiz version(Quiz quiz, long seed) {
        List<Question> questions = new ArrayList<>();
        for (int place : questions(quiz, seed)) {
            Question question = quiz.questions().get(place);
            questions.add(question instanceof ChoiceQuestion choice ? turned(choice, options(choice, seed)) : question);
        }
        return quiz.withQuestions(numbered(questions));
    }

    private static ChoiceQuestion turned(ChoiceQuestion choice, List<Integer> order) {
        List<Option> options = new ArrayList<>();
        Set<Integer> key = new TreeSet<>();
        for (int i = 0; i < order.size(); i++) {
            Option option = choice.options().get(order.get(i));
            // The printed letters stay where they are.
            String label = choice.options().get(i).label();
            options.add(new Option(label, option.text(), option.feedback()));
            if (choice.key().contains(order.get(i))) {
                key.add(i);
            }
        }
        return choice.withKey(Set.of()).withOptions(options).withKey(key);
    }

    /** Parts keep their letters: 5a and 5b become 2a and 2b. */
    private static List<Question> numbered(List<Question> questions) {
        List<Question> numbered = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        int number = 0;
        for (Question question : questions) {
            String printed = question.particulars().number();
            String letter = printed.matches("\\d{1,3}[a-z]") ? printed.substring(printed.length() - 1) : "";
            boolean more = !letter.isEmpty() && !seen.add(printed.substring(0, printed.length() - 1));
            number += more ? 0 : 1;
            numbered.add(question.withParticulars(question.particulars().withNumber(number + letter)));
        }
        return numbered;
    }
}
