package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Emphasis;

/** Options within the sentence: "Drones (has / have / having) no sting.", "One inch is: 2.54 cm; 12 cm; 25 cm." */
final class AlternativesMaker {

    /** "(smoker, veil, fork)". */
    private static final Pattern COMMAS =
            Pattern.compile("[(\\[]\\s*([^()\\[\\],/|]{1,30}(?:,\\s*[^()\\[\\],/|]{1,30}){2,4})\\s*[)\\]]");

    /** "(straight, useless)": where the heading says that one is to be chosen. */
    private static final Pattern TWO_WORDS =
            Pattern.compile("\\(\\s*(\\p{L}[\\p{L}' -]{0,20}(?:,\\s*\\p{L}[\\p{L}' -]{0,20}){1,4})\\s*\\)");

    private static final Pattern BEHIND_COLON =
            Pattern.compile("(.{5,}[:?])\\s*([^:;?]{1,50}(?:;\\s+[^:;?]{1,50}){1,5}?)[.]?");
    /** "2 m or 2 yards" and nothing else; "Either describe … or draw …" tells what to do. */
    private static final Pattern EITHER_OR = Vocabulary.pattern("(?!" + Vocabulary.ALL.either("either")
            + "\\s)([^.?!:;,]{1,30}?)\\s+" + Vocabulary.ALL.either("or") + "\\s+([^.?!:;,]{1,30})");

    private static final Pattern STATEMENT_AROUND = Pattern.compile("\\p{Lu}[^.?!]*\\([^()]*\\)\\s\\p{Ll}[^.?!]*\\.");

    private static final int MOST_WORDS = 6;
    private static final Pattern CHOOSE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("pick") + "\\b");

    private static final Pattern DASHED_BEHIND_COLON =
            Pattern.compile("(?s)(.{5,}?:)\\s+([^:;?]{1,60}?(?:(?:\\s+[\u2013\u2014/-]|,)\\s+[^:;?]{1,60}?){2,5})\\s*");

    private static final int LONGEST_WITH_CHOICE = 240;

    private static final Pattern TOLD_BEHIND =
            Pattern.compile("(?s)(.*\\S)\\s*[\\[(]\\s*([^\\[\\]()/]{1,30})\\s*[\\])]\\s*");

    private AlternativesMaker() {}

    /**
     * The choice that a sentence itself gives; empty where it gives none, or nothing says that one is to be chosen.
     *
     * @param said what the heading above says
     */
    static Optional<Question> find(Particulars particulars, GatheredKey key, String said) {
        String stem = particulars.stem().plain();
        if (particulars.stem().gapCount() == 1) {
            return behindGap(particulars, key, said);
        }
        if (particulars.stem().gapCount() > 0 || stem.isEmpty()) {
            return Optional.empty();
        }
        Matcher brackets = Alternatives.BRACKETS.matcher(stem);
        if (brackets.find()) {
            List<String> words = Alternatives.split(brackets.group(1), "[/|]");
            if (brackets.find()) {
                boolean asked =
                        CHOOSE.matcher(said).find() || CHOOSE.matcher(stem).find();
                return SeveralAlternatives.find(particulars, key, asked);
            }
            Optional<Question> told = toldBehind(particulars, words);
            return told.isPresent() ? told : choice(particulars, words, key, said);
        }
        Matcher commas = TWO_WORDS.matcher(stem);
        if (CHOOSE.matcher(said).find() && commas.find()) {
            List<String> words = Alternatives.split(commas.group(1), ",");
            if (!commas.find()) {
                return choice(particulars, words, key, said);
            }
        }
        Optional<Question> listed = listed(particulars, key, said);
        if (listed.isPresent()) {
            return listed;
        }
        Optional<Question> dashed = dashedBehindColon(particulars, key, said);
        if (dashed.isPresent()) {
            return dashed;
        }
        List<String> underlined = setApartTogether(particulars.stem());
        if (!underlined.isEmpty()) {
            return choice(particulars, underlined, key, said);
        }
        List<String> phrases = SlashedPhrases.in(stem);
        if (!phrases.isEmpty()) {
            return choice(particulars, phrases, key, said);
        }
        Matcher slashed = Alternatives.SLASHED.matcher(stem);
        if (slashed.find() && !slashed.group().equals(stem)) {
            List<String> words = Alternatives.split(slashed.group(), "/");
            return slashed.find() ? Optional.empty() : choice(particulars, words, key, said);
        }
        Matcher behind = BEHIND_COLON.matcher(stem);
        if (!behind.matches() || !particulars.stem().pictures().isEmpty()) {
            return Optional.empty();
        }
        Particulars asked = particulars.withStem(Prose.of(behind.group(1)));
        return choice(asked, Alternatives.split(behind.group(2).replaceAll("[.]$", ""), ";"), key, said);
    }

    /** "Wax is for building:  combs – the roof – the door", where the heading says that one is to be chosen. */
    private static Optional<Question> dashedBehindColon(Particulars particulars, GatheredKey key, String said) {
        String typed = particulars.stem().typed();
        boolean asked = typed.length() <= LONGEST_WITH_CHOICE
                && (CHOOSE.matcher(said).find() || CHOOSE.matcher(typed).find());
        Matcher list = DASHED_BEHIND_COLON.matcher(asked ? typed : "");
        if (!list.matches() || !CHOOSE.matcher(said + " " + list.group(1)).find()) {
            return Optional.empty();
        }
        List<String> words =
                Alternatives.split(list.group(2).replaceAll("[.]\\s*$", ""), "\\s+[\u2013\u2014/-]\\s+|,\\s+");
        return words.size() < Alternatives.FEWEST_LISTED
                ? Optional.empty()
                : choice(particulars.withStem(particulars.stem().cut(0, list.end(1))), words, key, said);
    }

    /** "A level uses a ____ . (bubble / weight / spring)": what may go into the gap stands in brackets behind the sentence. */
    private static Optional<Question> behindGap(Particulars particulars, GatheredKey key, String said) {
        String typed = particulars.stem().typed();
        Matcher commas = COMMAS.matcher(typed);
        boolean listed = CHOOSE.matcher(said).find() && commas.find();
        Matcher brackets = listed ? commas.reset() : Alternatives.BRACKETS.matcher(typed);
        boolean last = brackets.find() && typed.substring(brackets.end()).isBlank() && brackets.start() > 0;
        List<String> words = last ? Alternatives.split(brackets.group(1), listed ? "," : "[/|]") : List.of();
        int right = key.text().map(String::strip).map(words::indexOf).orElse(-1);
        boolean asked = key.text().isEmpty()
                && (CHOOSE.matcher(said).find() || CHOOSE.matcher(typed).find());
        if (words.size() < Alternatives.FEWEST_LISTED || words.contains("") || right < 0 && !asked) {
            return Optional.empty();
        }
        Prose sentence = particulars
                .stem()
                .cut(0, typed.substring(0, brackets.start()).stripTrailing().length());
        return Optional.of(
                new SingleChoice(particulars.withStem(sentence), options(words), right < 0 ? Set.of() : Set.of(right)));
    }

    /** "… from (reading / cutting) at an angle.   [reading]": the right word stands again behind the sentence. */
    private static Optional<Question> toldBehind(Particulars particulars, List<String> words) {
        Matcher told = TOLD_BEHIND.matcher(particulars.stem().typed());
        int right = told.matches() ? words.indexOf(told.group(2).strip()) : -1;
        return right < 0
                ? Optional.empty()
                : Optional.of(new SingleChoice(
                        particulars.withStem(particulars.stem().cut(0, told.end(1))), options(words), Set.of(right)));
    }

    /** "The bees <u>has been / have been / was</u> busy.": what is set apart as one holds all there is to choose from. */
    private static List<String> setApartTogether(Prose stem) {
        List<List<String>> found = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        Set<Emphasis> look = Set.of();
        for (Inline part : stem.parts()) {
            Set<Emphasis> here = part instanceof Inline.Text text ? text.emphasis() : Set.of();
            if (!here.equals(look)) {
                addChoice(run, look, found);
                look = here;
            }
            run.append(part.plain());
        }
        addChoice(run, look, found);
        return found.size() == 1 ? found.get(0) : List.of();
    }

    private static void addChoice(StringBuilder run, Set<Emphasis> look, List<List<String>> found) {
        List<String> words = Alternatives.split(run.toString(), "\\s*[/|]\\s*");
        if (!look.isEmpty() && words.size() > 1 && words.size() <= MOST_WORDS && !words.contains("")) {
            found.add(words);
        }
        run.setLength(0);
    }

    /** "drone – worker – hammer": nothing but words to choose among, where the heading says so. */
    private static Optional<Question> listed(Particulars particulars, GatheredKey key, String said) {
        String stem = particulars.stem().plain().replaceAll("[.]$", "");
        Matcher pair = EITHER_OR.matcher(stem);
        if (pair.matches() && CHOOSE.matcher(said).find()) {
            return choice(
                    particulars, List.of(pair.group(1).strip(), pair.group(2).strip()), key, said);
        }
        for (String separator : List.of("\\s+[\u2013\u2014-]\\s+", "\\s*[,;|]\\s+", "\\s+/\\s+", "\\s{3,}")) {
            List<String> words = Alternatives.split(stem, separator);
            boolean list = Alternatives.areList(words);
            if (list && CHOOSE.matcher(said).find()) {
                return choice(particulars, words, key, said);
            }
        }
        return Optional.empty();
    }

    private static Optional<Question> choice(
            Particulars particulars, List<String> words, GatheredKey key, String said) {
        int right = key.text()
                .map(String::strip)
                .map(words::indexOf)
                .orElseGet(() -> Alternatives.setApart(particulars.stem(), words));
        boolean asked = CHOOSE.matcher(said).find()
                || CHOOSE.matcher(particulars.stem().plain()).find();
        // Nobody brackets three words or more for another reason, nor two in the middle of a statement.
        Matcher brackets = Alternatives.BRACKETS.matcher(particulars.stem().plain());
        boolean offered = brackets.find()
                && brackets.group().startsWith("(")
                && (words.size() >= Alternatives.FEWEST_LISTED
                        || areTwoWordsWithin(particulars.stem().plain(), words));
        Set<Integer> several =
                right < 0 && words.size() >= Alternatives.FEWEST_LISTED ? several(particulars, words, key) : Set.of();
        if (several.size() > 1 && several.size() < words.size()) {
            return Optional.of(new MultipleChoice(particulars, options(words), several));
        }
        boolean chosen = right >= 0 || key.text().isEmpty() && (asked || offered);
        if (!chosen || words.contains("")) {
            return Optional.empty();
        }
        return Optional.of(
                right < 0 && Directions.asksForSeveral(particulars.stem().plain())
                        ? new MultipleChoice(particulars, options(words), Set.of())
                        : new SingleChoice(particulars, options(words), right < 0 ? Set.of() : Set.of(right)));
    }

    /** "Underline the three tools: …" with the answer "saw, rule, plane". */
    private static Set<Integer> several(Particulars particulars, List<String> words, GatheredKey key) {
        return Directions.asksForSeveral(particulars.stem().plain())
                ? AnswerParser.options(
                        key.text().orElse(""), words.stream().map(word -> "").toList(), words)
                : Set.of();
    }

    /** "Honey is (heavier / lighter) than water.": a statement that goes on behind two single words. */
    private static boolean areTwoWordsWithin(String stem, List<String> words) {
        return STATEMENT_AROUND.matcher(stem).matches()
                && words.stream().noneMatch(word -> word.indexOf(' ') >= 0)
                && !Vocabulary.ALL.mentions(Words.of(stem), "explain");
    }

    private static List<Option> options(List<String> words) {
        return words.stream()
                .map(word -> new Option("", Prose.of(word), Prose.EMPTY))
                .toList();
    }
}
