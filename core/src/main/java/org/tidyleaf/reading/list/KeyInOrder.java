package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Answers: b, c, a, true" or "Key" over "B C A B" at the very end: answers without numbers, just as many as there are questions, each
 * for the question at its place.
 */
public final class KeyInOrder {

    private static final Pattern NAME =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("list") + "\\s*(?:[:=\u2013-]\\s*|$)");

    private static final Pattern GLUED = Pattern.compile("[A-H]+|[a-h]+");
    private static final Pattern LETTER = Pattern.compile("[A-Ha-h]");

    /** Fewer could be the answer of the last question alone. */
    private static final int FEWEST = 3;

    /** A line for each answer, and so many more. */
    private static final int MOST_OTHERS = 3;

    /** In signs. */
    private static final int LONGEST = 24;

    private KeyInOrder() {}

    static Optional<KeyList> find(List<Cues> all, Blocks blocks) {
        for (int i = all.size() - 1; i > 0; i--) {
            Matcher name = NAME.matcher(all.get(i).text());
            boolean named =
                    all.get(i).line().layout().cell().isEmpty() && !all.get(i).is(Trait.OFF_BODY) && name.lookingAt();
            if (named) {
                int questions = questions(all.subList(0, i), blocks);
                List<Integer> pieces = new ArrayList<>(List.of(i));
                StringBuilder said = new StringBuilder(all.get(i).text().substring(name.end()));
                for (int below = i + 1; below < all.size(); below++) {
                    if (!all.get(below).is(Trait.OFF_BODY)) {
                        said.append(' ').append(all.get(below).text());
                        pieces.add(below);
                    }
                }
                List<String> answers = pieces.size() > questions + MOST_OTHERS
                        ? List.of()
                        : answers(said.toString().strip());
                return !answers.isEmpty() && answers.size() == questions && !Directions.asksForOrder(last(all, i))
                        ? Optional.of(list(answers, pieces, all.get(i).line().number()))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** "BDACA" and nothing else in a file of its own: a letter for each question, or for each with options. */
    public static Optional<KeyList> inFile(List<Cues> key, List<Draft> questions) {
        String letters = letters(key);
        List<Draft> choices =
                questions.stream().filter(draft -> draft.options.size() > 1).toList();
        boolean all = letters.length() == questions.size();
        if (letters.length() < 2 || !GLUED.matcher(letters).matches() || !all && letters.length() != choices.size()) {
            return Optional.empty();
        }
        List<KeyList.Item> items = new ArrayList<>();
        for (Draft draft : all ? questions : choices) {
            String letter = letters.substring(items.size(), items.size() + 1);
            items.add(new KeyList.Item("", draft.number, letter, 1));
        }
        return Optional.of(new KeyList(items, Set.of(), KeySource.SEPARATE));
    }

    /** What stands below the heading of a file, or behind it in its line, without signs and spaces between. */
    private static String letters(List<Cues> key) {
        StringBuilder letters = new StringBuilder();
        for (Cues cues : key) {
            Matcher name = NAME.matcher(cues.text());
            String said =
                    cues.text().substring(name.lookingAt() ? name.end() : 0).replaceAll("[\\s,;.]", "");
            boolean heading = letters.isEmpty()
                    && cues.line().layout().cell().isEmpty()
                    && said.codePoints().noneMatch(Character::isDigit)
                    && !GLUED.matcher(said).matches();
            letters.append(heading ? "" : said);
        }
        return letters.toString();
    }

    private static KeyList list(List<String> answers, List<Integer> pieces, int line) {
        List<KeyList.Item> items = new ArrayList<>();
        for (String answer : answers) {
            items.add(new KeyList.Item("", String.valueOf(items.size() + 1), answer, line));
        }
        return new KeyList(items, new HashSet<>(pieces), KeySource.ANSWER_LIST);
    }

    /** The last line above that has a number or stands without any sign over a list. */
    private static Cues last(List<Cues> all, int end) {
        int at = end - 1;
        while (at > 0
                && !all.get(at).has(Label.Kind.NUMBER)
                && !all.get(at).labels().isEmpty()) {
            at--;
        }
        return all.get(at);
    }

    /** Most of them letters or words that judge; none where anything else stands there. */
    private static List<String> answers(String said) {
        if (said.length() >= FEWEST && GLUED.matcher(said).matches()) {
            return Arrays.asList(said.split(""));
        }
        boolean parted = said.indexOf(',') >= 0 || said.indexOf(';') >= 0;
        List<String> answers = Arrays.stream(said.replaceAll("[.]$", "").split(parted ? "\\s*[,;]\\s*" : "[\\s|/]+"))
                .map(answer -> answer.replaceAll("^[(\\[]|[)\\].]$", "").strip())
                .toList();
        long brief = answers.stream().filter(KeyInOrder::isBrief).count();
        boolean sound = answers.stream().noneMatch(answer -> answer.isEmpty() || answer.length() > LONGEST)
                && (brief == answers.size() || parted && brief * 2 >= answers.size())
                && answers.stream().noneMatch(answer -> answer.matches("\\d{1,3}\\W?\\s*\\p{L}.*"));
        return sound && answers.size() >= FEWEST ? answers : List.of();
    }

    private static boolean isBrief(String answer) {
        return LETTER.matcher(answer).matches()
                || AnswerParser.judgement(answer).isPresent();
    }

    /** How many numbers count on from 1, each there once; where there are none, how many lists of options begin. 0 where it can't be told. */
    private static int questions(List<Cues> above, Blocks blocks) {
        Map<String, Integer> reached = new HashMap<>();
        Set<String> broken = new HashSet<>();
        Map<String, Integer> begun = new HashMap<>();
        Set<Integer> inside = blocks.inside();
        for (int i = 0; i < above.size(); i++) {
            for (Label label :
                    inside.contains(i) ? List.<Label>of() : above.get(i).labels()) {
                if (label.kind() == Label.Kind.NUMBER) {
                    int next = reached.getOrDefault(label.shape(), 0) + 1;
                    reached.put(label.shape(), next);
                    if (label.ordinal() != next) {
                        broken.add(label.shape());
                    }
                }
                boolean first = label.kind() == Label.Kind.LETTER && label.ordinal() == 1
                        || label.kind() == Label.Kind.BULLET
                                && (i == 0 || !above.get(i - 1).has(Label.Kind.BULLET));
                if (first) {
                    begun.merge(label.shape(), 1, Integer::sum);
                }
            }
        }
        Map<String, Integer> counts = reached.isEmpty() ? begun : reached;
        counts.keySet().removeAll(broken);
        return counts.values().stream().mapToInt(count -> count).max().orElse(0);
    }
}
