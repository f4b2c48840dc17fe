package org.tidyleaf.reading.key;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.NumberRange;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Asks every source of a key and compares what they say; two that disagree are reported, never chosen between. */
public final class KeyGatherer {

    /** What teachers set right answers apart with, the more deliberate first. */
    private static final List<Emphasis> KEY_FORMATS =
            List.of(Emphasis.HIGHLIGHT, Emphasis.BOLD, Emphasis.COLOR, Emphasis.UNDERLINE, Emphasis.ITALIC);

    private final Source source;
    private final List<Draft> drafts;
    private final Drafts all;
    private final KeyList list;
    private final boolean beginAnew;
    private final Map<Draft, List<Claim>> explicit = new IdentityHashMap<>();
    private final Map<Emphasis, Integer> habit = new EnumMap<>(Emphasis.class);

    private KeyGatherer(Source source, Drafts all, KeyList list) {
        this.source = source;
        this.all = all;
        this.drafts = all.questions();
        this.list = list;
        // "1." before every question, each in an automatic list of its own: a key counts them through.
        // Nor does it count otherwise where no question has a number.
        this.beginAnew = drafts.size() > 2
                && (drafts.stream().allMatch(draft -> draft.number.equals("1"))
                        || list.items().size() == drafts.size()
                                && drafts.stream().allMatch(draft -> draft.number.isEmpty() && draft.pairs.isEmpty()));
    }

    /** One key for each draft, in order. */
    public static List<GatheredKey> gather(Source source, Drafts drafts, KeyList list) {
        KeyGatherer gatherer = new KeyGatherer(source, drafts, list);
        gatherer.drafts.forEach(draft -> ExplainedKeys.split(source, draft, labels(draft), gatherer.texts(draft)));
        gatherer.findFormattingHabit();
        return drafts.questions().stream().map(gatherer::gather).toList();
    }

    /** One source's answer. */
    private record Claim(Set<Integer> chosen, KeySource source, String evidence) {}

    /** What is said of pairs as a whole is longer than a letter with its bracket. */
    private static final int LONGEST_OF_ONE = 2;

    private static final Pattern PART =
            Pattern.compile("([A-Z]{0,3}\\d{1,3}(?:[a-h](?=[ivx]))?)(?:\\.(?=\\d))?([a-z]|[ivx]{2,4}|\\d{1,2})");
    /** More words in a line are a sentence that goes on. */
    private static final int LONGEST_SPELLING = 3;

    public static final Pattern LEFT_NUMBER = Pattern.compile(
            "(?:_+\\s*(?:\\p{L}_+\\s*)?|[(\\[]\\s*\\p{L}?\\s*[)\\]]\\s*)?[(\\[]?(\\d{1,2}(?:\\.\\d{1,2})?)[.):\\]]?\\s");

    /**
     * A format marks keys if it sets some but not all options apart in most questions that have no other key. A pair to judge by is
     * there to be ticked and steps are there to be ordered, whatever the author does elsewhere.
     */
    private void findFormattingHabit() {
        for (Emphasis format : KEY_FORMATS) {
            int good = 0;
            int silent = 0;
            for (Draft draft : drafts) {
                if (draft.options.size() >= 2) {
                    int marked = marked(draft, format).size();
                    boolean tells = marked > 0 && marked < draft.options.size();
                    good += tells ? 1 : 0;
                    silent += !tells
                                    && !isJudged(draft)
                                    && !asksForOrder(draft)
                                    && explicit(draft).isEmpty()
                            ? 1
                            : 0;
                }
            }
            if (good > 0 && good >= silent) {
                habit.put(format, good);
            }
        }
    }

    private Set<Integer> marked(Draft draft, Emphasis format) {
        Set<Integer> marked = new TreeSet<>();
        for (int i = 0; i < draft.options.size(); i++) {
            // A letter in a cell of its own leaves nothing of its cell.
            List<Segment> segments = draft.options.get(i).segments.stream()
                    .filter(segment -> !source.text(segment).isBlank())
                    .toList();
            boolean all = !segments.isEmpty()
                    && segments.stream().allMatch(s -> source.line(s.line()).isMostly(format, s.from(), s.to()));
            if (all) {
                marked.add(i);
            }
        }
        return marked;
    }

    private GatheredKey gather(Draft draft) {
        List<Claim> claims = new ArrayList<>(explicit(draft));
        formatting(draft).ifPresent(claims::add);
        Optional<KeyList.Item> listed = listed(draft);
        Optional<String> text = draft.keys.isEmpty()
                ? listed.map(KeyList.Item::text)
                        .filter(said -> draft.pairs.isEmpty() || said.length() > LONGEST_OF_ONE)
                        .or(() -> listedPairs(draft))
                        .or(() -> listedGaps(draft))
                : Optional.of(said(draft));
        if (claims.isEmpty()) {
            KeySource from = draft.keys.isEmpty() && draft.models.isEmpty() && text.isPresent()
                    ? list.source()
                    : text.isPresent() || !draft.models.isEmpty() ? lineSource(draft) : KeySource.NONE;
            return new GatheredKey(Set.of(), text, from, List.of(), Optional.empty());
        }
        Claim first = claims.get(0);
        Optional<String> conflict = claims.stream()
                .filter(claim -> !claim.chosen().equals(first.chosen()))
                .map(claim -> first.evidence() + ", but " + claim.evidence())
                .findFirst();
        List<String> evidence = claims.stream().map(Claim::evidence).toList();
        return new GatheredKey(first.chosen(), text, first.source(), evidence, conflict);
    }

    /** What the lines of its answer say; for a single gap each line below "Answer:" is a spelling of its own. */
    private String said(Draft draft) {
        List<Draft.Announced> below = draft.keys.subList(1, draft.keys.size());
        boolean spellings = below.size() > 1
                && draft.keys.get(0).text().isBlank()
                && below.stream().allMatch(line -> line.text().split("\\s+").length <= LONGEST_SPELLING)
                && GapSigns.count(String.join(
                                " ", draft.stem.stream().map(source::text).toList()))
                        == 1;
        return spellings
                ? String.join(
                        " / ", below.stream().map(line -> line.text().strip()).toList())
                : Draft.join(draft.keys).plain();
    }

    private List<Claim> explicit(Draft draft) {
        return explicit.computeIfAbsent(draft, this::findExplicit);
    }

    private List<Claim> findExplicit(Draft draft) {
        List<Claim> claims = new ArrayList<>();
        Set<Integer> signed = new TreeSet<>();
        for (int i = 0; i < draft.options.size(); i++) {
            if (draft.options.get(i).signed) {
                signed.add(i);
            }
        }
        if (!signed.isEmpty()) {
            claims.add(new Claim(signed, KeySource.MARK, "a sign stands beside " + names(draft, signed)));
        }
        draft.marginKey.ifPresent(margin -> claim(draft, margin, KeySource.MARK, "the margin says ", claims));
        for (Draft.Announced line : draft.keys) {
            claim(
                    draft,
                    line,
                    lineSource(draft),
                    draft.keyInColumn ? "its row says " : "the answer line says ",
                    claims);
        }
        listed(draft)
                .ifPresent(item -> claim(
                        draft,
                        new Draft.Announced(
                                item.text(), draft.cues.get(0).piece().segment()),
                        list.source(),
                        list.source() == KeySource.SEPARATE ? "the key file says " : "the list of answers says ",
                        claims));
        return claims;
    }

    /** Where the lefts of pairs are numbered like questions, the list of answers has an entry for each. */
    private Optional<String> listedPairs(Draft draft) {
        List<String> said = new ArrayList<>();
        for (Cues cues : draft.pairs) {
            // Numbers may stand in a column of their own.
            boolean alone = cues.text().matches("\\d{1,2}[.)]?");
            Matcher number = LEFT_NUMBER.matcher(alone ? cues.text() + " " : cues.text());
            if (number.lookingAt()) {
                Optional.of(number.group(1))
                        .filter(left -> !isOfOther(draft, left))
                        .flatMap(left -> find(draft, left))
                        .ifPresent(item -> said.add(number.group(1) + "-" + item.text()));
            }
        }
        // One alone may be the number of the whole.
        boolean each = said.size() > 1 || said.size() == 1 && draft.number.isEmpty();
        return each ? Optional.of(String.join(", ", said)) : Optional.empty();
    }

    /** Beside a question 1 an answer 1 is that question's and none of the first pair of question 4. */
    private boolean isOfOther(Draft draft, String number) {
        return !draft.number.isEmpty()
                && drafts.stream()
                        .anyMatch(other ->
                                other != draft && other.section == draft.section && other.number.equals(number));
    }

    /** A text without a number of its own has its gaps numbered like questions: an entry for each. */
    private Optional<String> listedGaps(Draft draft) {
        String stem = String.join(" ", draft.stem.stream().map(source::text).toList());
        int blanks = GapSigns.count(stem);
        // "(1) [go / went]": choices stand for gaps.
        int gaps = blanks > 0
                ? blanks
                : (int) Alternatives.BRACKETS.matcher(stem).results().count();
        List<String> said = new ArrayList<>();
        for (int i = 1; i <= gaps && draft.number.isEmpty() && stem.contains("(" + i + ")"); i++) {
            String gap = "(" + i + ") ";
            find(draft, String.valueOf(i)).ifPresent(item -> said.add(gap + item.text()));
        }
        List<String> numbers = NumberRange.of(draft.number);
        for (int i = 0; numbers.size() > 1 && i < Math.min(gaps, numbers.size()) && said.size() == i; i++) {
            String gap = "(" + (i + 1) + ") ";
            find(draft, numbers.get(i)).ifPresent(item -> said.add(gap + item.text()));
        }
        if (said.isEmpty()
                && gaps > 1
                && draft.number.isEmpty()
                && !heading(draft).isEmpty()) {
            return list.wordsOf(heading(draft));
        }
        return gaps > 1 && said.size() == gaps ? Optional.of(String.join(" ", said)) : Optional.empty();
    }

    private static KeySource lineSource(Draft draft) {
        return draft.keyInColumn ? KeySource.COLUMN : KeySource.ANSWER_LINE;
    }

    private Optional<KeyList.Item> listed(Draft draft) {
        Optional<KeyList.Item> exercise =
                draft.pairs.isEmpty() || draft.number.isEmpty() ? Optional.empty() : list.exercise(draft.number);
        Optional<KeyList.Item> said = exercise.or(() -> find(draft, draft.number));
        boolean pairs = draft.number.isEmpty()
                && !draft.pairs.isEmpty()
                && !heading(draft).isEmpty();
        return said.isPresent() || !pairs ? said : list.pairsOf(heading(draft));
    }

    /** What it stands under; empty where nothing heads it. */
    private String heading(Draft draft) {
        return draft.section < 0
                ? draft.heading
                : all.sections().get(draft.section).title();
    }

    private Optional<KeyList.Item> find(Draft draft, String number) {
        if (list.items().isEmpty()) {
            return Optional.empty();
        }
        if (list.between()) {
            return list.below(number, draft.cues.get(0).line().number());
        }
        String heading = heading(draft);
        if (beginAnew && number.equals(draft.number)) {
            return list.find(String.valueOf(drafts.indexOf(draft) + 1), heading);
        }
        return list.find(number, heading)
                .filter(item -> !isOfOtherSection(item, heading))
                .or(() -> ofPart(number, heading))
                .or(() -> ofNumerals(number, heading))
                .or(() -> ofLetters(number, heading))
                .or(() -> inOrder(draft, number, heading));
    }

    /** "Part B: T, F, F, T": as many answers as the part has questions, in their order. */
    private Optional<KeyList.Item> inOrder(Draft draft, String number, String heading) {
        if (heading.isEmpty() || draft.section < 0 || !number.equals(draft.number)) {
            return Optional.empty();
        }
        List<Draft> within =
                drafts.stream().filter(other -> other.section == draft.section).toList();
        return list.wordsOf(heading).flatMap(words -> {
            String[] said = words.strip().replaceFirst("[.;]$", "").split("\\s*[,;]\\s*");
            return within.size() > 1 && said.length == within.size()
                    ? Optional.of(new KeyList.Item(
                            heading,
                            number,
                            said[within.indexOf(draft)],
                            draft.cues.get(0).line().number()))
                    : Optional.empty();
        });
    }

    /** "Ex. 1: … 4 B" answers the fourth question of exercise 1, and not question 4 that stands in no exercise. */
    private boolean isOfOtherSection(KeyList.Item item, String heading) {
        return !item.heading().isEmpty()
                && !item.isNamedAs(heading)
                && all.sections().stream().anyMatch(section -> item.isNamedAs(section.title()));
    }

    /** "4c(i)" and "4c(ii)" answer a question 4c that asks both. */
    private Optional<KeyList.Item> ofNumerals(String number, String heading) {
        return number.matches(".*\\d[a-h]")
                ? joined(number, heading, List.of("i", "ii", "iii", "iv", "v", "vi"))
                : Optional.empty();
    }

    /** "6a queen", "6b cluster" go into the gaps of question 6. */
    private Optional<KeyList.Item> ofLetters(String number, String heading) {
        return number.matches("\\d{1,3}")
                ? joined(number, heading, List.of("a", "b", "c", "d", "e", "f", "g", "h"))
                : Optional.empty();
    }

    /** What the list says of parts that are no questions of their own; empty where it names but one. */
    private Optional<KeyList.Item> joined(String number, String heading, List<String> parts) {
        List<KeyList.Item> said = parts.stream()
                .flatMap(part -> list
                        .find(number + part, heading)
                        .map(item ->
                                new KeyList.Item(item.heading(), number, "(" + part + ") " + item.text(), item.line()))
                        .stream())
                .toList();
        return said.size() > 1
                ? Optional.of(new KeyList.Item(
                        said.get(0).heading(),
                        number,
                        String.join(" ", said.stream().map(KeyList.Item::text).toList()),
                        said.get(0).line()))
                : Optional.empty();
    }

    /** "5. (a) queenless (b) mate" holds the answers of 5a and 5b. */
    private Optional<KeyList.Item> ofPart(String number, String heading) {
        Matcher part = PART.matcher(number);
        if (!part.matches()) {
            return Optional.empty();
        }
        Optional<KeyList.Item> said = list.part(part.group(1), part.group(2));
        return said.isPresent()
                ? said
                : list.find(part.group(1), heading).flatMap(whole -> ofWhole(whole, part, number));
    }

    private static Optional<KeyList.Item> ofWhole(KeyList.Item whole, Matcher part, String number) {
        Matcher answer = Pattern.compile(
                        "(?:^|\\s|[,;])[(\\[]?" + part.group(2)
                                + "[).:\\]\u2013-]\\s*(.*?)(?=(?:\\s|[,;])+[(\\[]?(?:[a-z]|[ivx]{2,4}|\\d{1,2})[).:\\]\u2013-]\\s?|$)")
                .matcher(whole.text());
        Matcher spaced = Pattern.compile(
                        "(?:^|[,;]\\s*|\\s)" + part.group(2) + "\\s+(\\S.*?)(?=(?:[,;]\\s*|\\s+)[a-z]\\s+\\S|[,;]?$)")
                .matcher(whole.text());
        String[] judged = whole.text().strip().split("\\s*[-,;/\u2013]\\s*|\\s+");
        int place = Character.isDigit(part.group(2).charAt(0))
                ? Integer.parseInt(part.group(2)) - 1
                : part.group(2).length() > 1 ? Integer.MAX_VALUE : part.group(2).charAt(0) - 'a';
        String[] apart = whole.text().strip().split("\\s*;\\s*");
        boolean apartInOrder = place >= 0
                && place < apart.length
                && apart.length > 1
                && Arrays.stream(apart)
                        .allMatch(one -> AnswerParser.leadingJudgement(one).isPresent());
        if (apartInOrder) {
            return Optional.of(new KeyList.Item(whole.heading(), number, apart[place], whole.line()));
        }
        boolean inOrder = place >= 0
                && place < judged.length
                && Arrays.stream(judged)
                        .allMatch(one -> AnswerParser.judgement(one).isPresent());
        Optional<String> said = inOrder
                ? Optional.of(judged[place])
                : answer.find()
                        ? Optional.of(answer.group(1))
                        : spaced.find() ? Optional.of(spaced.group(1)) : Optional.empty();
        return said.map(text -> new KeyList.Item(whole.heading(), number, text, whole.line()));
    }

    private void claim(Draft draft, Draft.Announced said, KeySource kind, String words, List<Claim> claims) {
        List<String> texts = texts(draft);
        Set<Integer> chosen = AnswerParser.options(said.text(), labels(draft), texts);
        if (chosen.isEmpty() && isJudged(draft)) {
            chosen = AnswerParser.leadingJudgement(said.text()).map(Set::of).orElse(Set.of());
        }
        if (!chosen.isEmpty()) {
            claims.add(new Claim(chosen, kind, words + "\u201c" + said.text() + "\u201d"));
        }
    }

    private Optional<Claim> formatting(Draft draft) {
        if (draft.options.isEmpty() && draft.judgementMarked.isPresent()) {
            int place = draft.judgementMarked.get();
            return Optional.of(new Claim(
                    Set.of(place),
                    KeySource.FORMATTING,
                    "\u201c" + draft.judgement.get(place) + "\u201d is set apart"));
        }
        for (Emphasis format : KEY_FORMATS) {
            if (habit.containsKey(format) && draft.options.size() >= 2) {
                Set<Integer> marked = marked(draft, format);
                if (!marked.isEmpty() && marked.size() < draft.options.size()) {
                    int others = habit.get(format) - 1;
                    String only = names(draft, marked)
                            + (marked.size() == 1 ? " is the only " : " are the only ")
                            + word(format)
                            + (marked.size() == 1 ? " option" : " options");
                    String habitual = others > 0
                            ? ", as in " + others + " other " + (others == 1 ? "question" : "questions")
                            : "";
                    return Optional.of(new Claim(marked, KeySource.FORMATTING, only + habitual));
                }
            }
        }
        return Optional.empty();
    }

    private static String word(Emphasis format) {
        return switch (format) {
            case HIGHLIGHT -> "highlighted";
            case COLOR -> "coloured";
            case UNDERLINE -> "underlined";
            default -> format.name().toLowerCase(Locale.ROOT);
        };
    }

    private List<String> texts(Draft draft) {
        if (draft.options.isEmpty()) {
            return draft.judgement;
        }
        return draft.options.stream()
                .map(option -> String.join(
                        " ", option.segments.stream().map(source::text).toList()))
                .toList();
    }

    private static List<String> labels(Draft draft) {
        return draft.options.isEmpty()
                ? draft.judgement.stream().map(word -> "").toList()
                : draft.options.stream().map(option -> option.label).toList();
    }

    private boolean asksForOrder(Draft draft) {
        return draft.stem.stream()
                .anyMatch(segment -> Vocabulary.ALL.mentions(Words.of(source.text(segment)), "order"));
    }

    private boolean isJudged(Draft draft) {
        List<String> texts = texts(draft);
        return texts.size() == 2
                && AnswerParser.judgement(texts.get(0)).equals(Optional.of(0))
                && AnswerParser.judgement(texts.get(1)).equals(Optional.of(1));
    }

    private static String names(Draft draft, Set<Integer> places) {
        return String.join(
                " and ",
                places.stream()
                        .map(i ->
                                draft.options.get(i).label.isEmpty() ? "option " + (i + 1) : draft.options.get(i).label)
                        .toList());
    }
}
