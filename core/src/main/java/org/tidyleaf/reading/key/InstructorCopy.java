package org.tidyleaf.reading.key;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.source.Source;

/** A second file that is the same test with its answers: its questions are found again by their stems. */
public final class InstructorCopy {

    private static final Pattern GAP = Pattern.compile("\\[\\[\\d+]]");

    /** Fewer words may begin several questions. */
    private static final int FEWEST_WORDS = 3;

    private final Map<String, ReadQuestion> byStem = new HashMap<>();
    private final Map<String, Question> same = new HashMap<>();
    private final Map<String, List<Question>> byNumber = new HashMap<>();

    public InstructorCopy(Reading copy) {
        for (ReadQuestion read : copy.questions()) {
            Question question = read.question();
            same.putIfAbsent(stem(question), question);
            byNumber.computeIfAbsent(question.particulars().number(), number -> new ArrayList<>())
                    .add(question);
        }
        copy.questions().stream()
                .filter(read -> read.question().isKeyed() && read.keySource() != KeySource.NONE)
                .forEach(read -> byStem.putIfAbsent(stem(read.question()), read));
    }

    /** Whether at least half of the questions stand in it again. */
    public boolean isOf(Source source, List<Draft> questions) {
        long known = questions.stream()
                .filter(draft -> again(source, draft).isPresent())
                .count();
        return known > 0 && known * 2 >= questions.size();
    }

    /** What it adds behind the text of single questions: their answers, set in bold on the line below perhaps. */
    public KeyList added(Source source, List<Draft> questions) {
        List<KeyList.Item> items = new ArrayList<>();
        for (Draft draft : questions) {
            String own = stem(source, draft);
            again(source, draft)
                    .filter(copy -> !draft.number.isEmpty() && !byStem.containsKey(stem(copy)))
                    .map(copy -> behind(copy.particulars().stem().plain(), own))
                    .filter(answer -> !answer.isEmpty())
                    .ifPresent(answer -> items.add(new KeyList.Item("", draft.number, answer, 1)));
        }
        return new KeyList(items, Set.of(), KeySource.SEPARATE);
    }

    private Optional<Question> again(Source source, Draft draft) {
        String own = stem(source, draft);
        boolean telling = own.split(" ").length >= FEWEST_WORDS;
        return Optional.ofNullable(same.get(own))
                .or(() -> byNumber.getOrDefault(draft.number, List.of()).stream()
                        .filter(copy -> telling && stem(copy).startsWith(own + " "))
                        .findFirst());
    }

    /** The rest of a text behind the words that it begins with. */
    private static String behind(String text, String begin) {
        int end = 0;
        while (end < text.length()
                && !AnswerParser.bare(GAP.matcher(text.substring(0, end)).replaceAll(" "))
                        .equals(begin)) {
            end++;
        }
        String rest = GAP.matcher(text.substring(end)).replaceAll(" ").replaceFirst("^[\\s.?!:;,\\u2013-]+", "");
        return rest.codePoints().anyMatch(Character::isLetterOrDigit) ? rest.strip() : "";
    }

    /** The question with the copy's key, where it lacks one of its own. */
    public ReadQuestion keyed(ReadQuestion read) {
        ReadQuestion copy = byStem.get(stem(read.question()));
        if (copy == null || read.question().isKeyed() && read.keySource() != KeySource.NONE) {
            return read;
        }
        return merged(read.question(), copy.question())
                .map(question -> read.keyed(question, KeySource.SEPARATE, "the copy with the answers says so"))
                .orElse(read);
    }

    private static Optional<Question> merged(Question own, Question copy) {
        if (own instanceof ChoiceQuestion choice && copy instanceof ChoiceQuestion keyed) {
            Set<Integer> key = places(keyed, choice);
            boolean same = choice.options().size() == keyed.options().size()
                    && key.size() == keyed.key().size();
            return same
                    ? Optional.of(choice.takesSeveral() || key.size() == 1 ? choice.withKey(key) : several(choice, key))
                    : Optional.empty();
        }
        // Without options the copy knows better how the answer is given.
        return own instanceof ChoiceQuestion ? Optional.empty() : Optional.of(copy.withParticulars(own.particulars()));
    }

    /** Where the right options of the copy stand among one's own, which another version of the test may have in another order. */
    private static Set<Integer> places(ChoiceQuestion copy, ChoiceQuestion own) {
        List<String> texts = texts(own);
        List<String> others = texts(copy);
        boolean shuffled = !texts.equals(others)
                && new HashSet<>(texts).size() == texts.size()
                && new HashSet<>(texts).equals(new HashSet<>(others));
        return shuffled
                ? copy.key().stream()
                        .map(place -> texts.indexOf(others.get(place)))
                        .collect(Collectors.toCollection(TreeSet::new))
                : copy.key();
    }

    private static List<String> texts(ChoiceQuestion question) {
        return question.options().stream()
                .map(option -> AnswerParser.bare(option.text().plain()))
                .toList();
    }

    private static Question several(ChoiceQuestion choice, Set<Integer> key) {
        return new MultipleChoice(choice.particulars(), choice.options(), key);
    }

    private static String stem(Question question) {
        String words = AnswerParser.bare(
                GAP.matcher(question.particulars().stem().plain()).replaceAll(" "));
        return named(words, question.particulars().number());
    }

    private static String stem(Source source, Draft draft) {
        String words = AnswerParser.bare(draft.stem.stream().map(source::text).collect(Collectors.joining(" ")));
        return named(words, draft.number);
    }

    /** What only offers words for a gap of the text above has no stem, its number tells which it is. */
    private static String named(String stem, String number) {
        return stem.isEmpty() ? "#" + number : stem;
    }
}
