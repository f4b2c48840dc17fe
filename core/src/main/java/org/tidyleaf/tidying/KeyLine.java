package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/**
 * A whole key typed as one line: {@code "BDACA"} or {@code "T F F T"} for one choice after the other, or with numbers,
 * {@code "1b 2ad 5c"}. Without numbers it is for the choices that have no key yet, or for all if it has a letter for each.
 */
public final class KeyLine {

    private static final Pattern NUMBERED =
            Pattern.compile("(\\d{1,4}[a-h]?)\\s*[.):=-]?\\s*([A-Za-z](?:\\s?,?[A-Za-z])*)(?![A-Za-z])");

    private KeyLine() {}

    /** One decision for each question that the line names; those that fit no question or option are left out. */
    public static List<Decision> decisions(String line, Quiz quiz) {
        Map<ChoiceQuestion, String> answers = line.matches("(?s).*\\d.*") ? numbered(line, quiz) : inOrder(line, quiz);
        List<Decision> decisions = new ArrayList<>();
        answers.forEach((question, letters) -> {
            Set<Integer> key = key(question, letters);
            if (!key.isEmpty() && (key.size() == 1 || question.takesSeveral())) {
                decisions.add(new Decision.SetKey(question.id(), key));
            }
        });
        return decisions;
    }

    private static Map<ChoiceQuestion, String> numbered(String line, Quiz quiz) {
        Map<ChoiceQuestion, String> answers = new LinkedHashMap<>();
        Matcher matcher = NUMBERED.matcher(line);
        while (matcher.find()) {
            String number = matcher.group(1);
            String letters = matcher.group(2);
            choices(quiz).stream()
                    .filter(question -> number.equals(question.particulars().number()))
                    .findFirst()
                    .ifPresent(question -> answers.put(question, letters));
        }
        return answers;
    }

    private static Map<ChoiceQuestion, String> inOrder(String line, Quiz quiz) {
        String letters = line.replaceAll("[^A-Za-z]", "");
        List<ChoiceQuestion> all = choices(quiz);
        List<ChoiceQuestion> wanted = letters.length() == all.size()
                ? all
                : all.stream().filter(question -> !question.isKeyed()).toList();
        Map<ChoiceQuestion, String> answers = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(letters.length(), wanted.size()); i++) {
            answers.put(wanted.get(i), letters.substring(i, i + 1));
        }
        return answers;
    }

    private static List<ChoiceQuestion> choices(Quiz quiz) {
        List<ChoiceQuestion> choices = new ArrayList<>();
        for (Question question : quiz.questions()) {
            if (question instanceof ChoiceQuestion choice) {
                choices.add(choice);
            }
        }
        return choices;
    }

    private static Set<Integer> key(ChoiceQuestion question, String letters) {
        Set<Integer> key = new TreeSet<>();
        for (char letter : letters.toLowerCase(Locale.ROOT).toCharArray()) {
            for (int i = 0; i < question.options().size(); i++) {
                String label = question.options().get(i).label();
                String text = question.options().get(i).text().plain();
                String sign = label.isEmpty() || !hasLabel(question, letter) && text.length() > 1 ? text : label;
                if (!sign.isEmpty() && Character.toLowerCase(sign.charAt(0)) == letter) {
                    key.add(i);
                    break;
                }
            }
        }
        return key;
    }

    private static boolean hasLabel(ChoiceQuestion question, char letter) {
        return question.options().stream().anyMatch(option -> option.label().equalsIgnoreCase(String.valueOf(letter)));
    }
}
