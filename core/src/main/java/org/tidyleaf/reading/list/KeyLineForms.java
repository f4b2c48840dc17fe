package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.reading.cue.Exercises;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.list.NumberedAnswers.Answer;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** The forms in which one line of a key gives several answers; each gives none where the line has another form. */
final class KeyLineForms {

    private static final Pattern RUN =
            Pattern.compile("(\\d{1,3})\\s*[-\u2013]\\s*(\\d{1,3})\\s*[:.)]?\\s*((?:[A-Za-z][ ,]?){2,60})");
    /** "1b 2a 3c": a number and a letter, nothing else. */
    private static final Pattern COMPACT = Pattern.compile("(\\d{1,3})([a-hA-H])[,;.]?");

    /** "13 - 16 days": small letters that no options have are a word. */
    private static final Pattern WORD =
            Pattern.compile("(?!(?:[tf]+|[rf]+|[wf]+|[vf]+|[pf]+|[jn]+|[yn]+)$)[a-z]*[i-z][a-z]*");

    private static final Pattern DECIMAL =
            Pattern.compile("(?:^|(?<=\\s{2}|[;,]\\s{0,2}))\\s*(\\d{1,2}\\.\\d{1,2}(?:\\.\\d{1,2})?)[.:)]?\\s+");

    private static final Pattern CODED = Pattern.compile("(?<=^|\\s)([A-Z]{1,3}\\d{1,3})[:.)]?\\s+(?=\\S)");

    private static final Pattern FAR_APART = Pattern.compile("\\s*\\t\\s*|\\s{3,}");

    private static final Pattern ABREAST = Pattern.compile("[(]?(\\d{1,3})\\s*[.):=]\\s*(\\S.{0,40})");

    private final List<Cues> all;

    /** @param all the pieces of the document that the key is in */
    KeyLineForms(List<Cues> all) {
        this.all = all;
    }

    /** "1-5: BADCB". */
    static List<Answer> run(String text) {
        Matcher run = RUN.matcher(text);
        if (!run.lookingAt() || run.end() <= text.length() - 3) {
            return List.of();
        }
        int first = Integer.parseInt(run.group(1));
        int end = Integer.parseInt(run.group(2));
        String letters = run.group(3).replaceAll("[ ,]", "");
        if (WORD.matcher(letters).matches() && letters.equals(run.group(3))) {
            return List.of();
        }
        return end - first + 1 == letters.length()
                ? IntStream.range(0, letters.length())
                        .mapToObj(i -> new Answer(String.valueOf(first + i), letters.substring(i, i + 1)))
                        .toList()
                : List.of();
    }

    /** "1. A        6. B" above "2. C        7. D": answers that count downwards, in columns. */
    static List<Answer> abreast(String text) {
        String[] parts = FAR_APART.split(text.strip());
        List<Answer> answers = Stream.of(parts)
                .map(ABREAST::matcher)
                .filter(Matcher::matches)
                .map(answer -> new Answer(answer.group(1), answer.group(2)))
                .toList();
        int[] counted = answers.stream()
                .mapToInt(answer -> Integer.parseInt(answer.number()))
                .toArray();
        boolean downwards = counted.length > 1
                && counted.length == parts.length
                && IntStream.range(1, counted.length).allMatch(i -> counted[i] > counted[i - 1] + 1);
        return downwards ? answers : List.of();
    }

    /** "1b 2a 3c", each number above the last. */
    static List<Answer> compact(String text, int last) {
        int above = last;
        List<Answer> found = new ArrayList<>();
        for (String word : text.strip().split("\\s+|(?<=[,;])|(?<=\\d[a-hA-H])(?=\\d)")) {
            Matcher matcher = COMPACT.matcher(word.strip());
            if (!matcher.matches() || Integer.parseInt(matcher.group(1)) <= above) {
                return List.of();
            }
            above = Integer.parseInt(matcher.group(1));
            found.add(new Answer(matcher.group(1), matcher.group(2)));
        }
        return found.size() > 1 ? found : List.of();
    }

    /** "1.1 B  1.2 C" where the questions are numbered so. */
    List<Answer> decimals(String text) {
        boolean numbered = all.stream()
                        .flatMap(cues -> cues.labels().stream())
                        .filter(label -> label.shape().equals(LabelFinder.DECIMAL_SHAPE)
                                || label.shape().equals(Exercises.SHAPE_OF_PARTS)
                                        && label.printed().contains("."))
                        .limit(KeyListReader.SEVERAL)
                        .count()
                == KeyListReader.SEVERAL;
        Matcher matcher = DECIMAL.matcher(text);
        List<Answer> answers = new ArrayList<>();
        String number = "";
        int from = -1;
        while (numbered && matcher.find()) {
            if (from < 0 && matcher.start() > 0) {
                return List.of();
            }
            if (from >= 0) {
                answers.add(new Answer(number, text.substring(from, matcher.start())));
            }
            number = matcher.group(1);
            from = matcher.end();
        }
        if (from >= 0) {
            answers.add(new Answer(number, text.substring(from)));
        }
        return answers;
    }

    /** "A2 wax   A3 honey": the codes of questions on other lines, each with its answer behind it. */
    List<Answer> coded(String text, int line) {
        Set<String> codes = new HashSet<>();
        for (Cues cues : all) {
            cues.labels().stream()
                    .filter(label ->
                            label.kind() == Label.Kind.CODE && cues.line().number() != line)
                    .forEach(label -> codes.add(label.printed()));
        }
        Matcher matcher = CODED.matcher(text);
        List<Answer> answers = new ArrayList<>();
        String code = "";
        int from = 0;
        while (matcher.find()) {
            if (codes.contains(matcher.group(1))) {
                if (!code.isEmpty()) {
                    answers.add(new Answer(code, text.substring(from, matcher.start())));
                }
                code = matcher.group(1);
                from = matcher.end();
            }
        }
        if (!code.isEmpty()) {
            answers.add(new Answer(code, text.substring(from)));
        }
        return answers;
    }
}
