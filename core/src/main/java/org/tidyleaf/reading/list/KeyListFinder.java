package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.question.NumberRange;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.CircledSigns;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/** Finds where a document holds a list of answers: under a heading, in a last table, in one line, or at the very end. */
public final class KeyListFinder {
    /** "Part A answers", "Section 2 – Answer key": the answers of one part only. */
    static final Pattern PART_HEADING = Vocabulary.pattern("\\W*(" + Vocabulary.ALL.either("section")
            + "\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,5}))\\s*[:.)\u2013\u2014-]*\\s*" + Vocabulary.ALL.either("list") + "\\W*");

    private static final Pattern COLUMN_HEAD =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("list", "answer") + "\\W*");

    private static final Pattern BEFORE_NUMBERS = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("list") + "\\W*\\s(?=(?:[A-Z][.)]\\s+)?[(]?\\d{1,3}\\W?\\s?[A-Z]\\b)");

    /** "… III: queen-2, worker-1": what a part is answered with as a whole. */
    private static final Pattern WHOLE_PART =
            Pattern.compile("(?:^|\\s)([IVX]{1,4}|[A-Z])\\s*[:.)]\\s*(\\p{L}{2}[^:]*?)\\s*$");

    /** "A) 1c 2a  B) 6 wasp": the letters of the parts between the answers. */
    private static final Pattern PART_BETWEEN = Pattern.compile("(?:^|\\s)[A-Z][.)]\\s+(?=[(]?\\d{1,3}\\W?\\s?\\p{L})");

    private static final Pattern LETTERS_ONLY = Vocabulary.pattern("(?:[(]?\\d{1,3}\\s*[.):=-]?\\s*(?:"
            + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*)?[(]?[A-Ha-h][)]?(?:[\\s,;.]+|$))+");

    private static final Pattern LETTER = Pattern.compile("[(]?[A-Ha-h][).]?");

    /** A key in one line stands so near to the end. */
    private static final int LAST_LINES = 4;

    private static final int FEWEST_OTHERS = 2;

    /** In signs. */
    private static final int FULL_LINE = 55;

    private KeyListFinder() {}

    /** The list at the end of a test, if it has one. */
    public static KeyList find(List<Cues> all, Blocks blocks) {
        Optional<KeyList> crossword = CrosswordKeys.find(all);
        if (crossword.isPresent()) {
            return crossword.get();
        }
        for (int i = all.size() - 1; i > 0; i--) {
            if (KeyHeadings.isHeading(all, i)) {
                KeyListReader reader = new KeyListReader(all);
                reader.readFrom(i + 1);
                if (reader.isConvincing(i)) {
                    reader.taken.add(i);
                    return new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST);
                }
            }
        }
        return byPartHeadings(all)
                .or(() -> inTable(all, blocks))
                .or(() -> KeyTablesBetween.find(all))
                .or(() -> KeyLinesBetween.find(all, blocks))
                .or(() -> KeyInOrder.find(all, blocks))
                .or(() -> inOneLine(all, blocks))
                .or(() -> unheaded(all, blocks))
                .orElse(KeyList.NONE);
    }

    /** From the first heading of a part's answers on, where everything below it is an answer. */
    private static Optional<KeyList> byPartHeadings(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            boolean possible = all.get(i).text().length() < KeyHeadings.LONGEST
                    && Vocabulary.ALL.mentions(all.get(i).words(), "list")
                    && PART_HEADING.matcher(all.get(i).text()).matches();
            if (possible) {
                KeyListReader reader = new KeyListReader(all);
                reader.readFrom(i);
                if (reader.isConvincing(i)) {
                    return Optional.of(
                            new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST));
                }
            }
        }
        return Optional.empty();
    }

    /** A last table of numbers and answers, in rows or in columns, the answers under or behind their name. */
    private static Optional<KeyList> inTable(List<Cues> all, Blocks blocks) {
        List<Integer> pieces = new ArrayList<>();
        int at = all.size() - 1;
        while (at >= 0 && all.get(at).is(Cues.Trait.OFF_BODY)) {
            at--;
        }
        Optional<Integer> table =
                at < 0 ? Optional.empty() : all.get(at).line().layout().cell().map(Cell::table);
        for (;
                at > 0
                        && table.isPresent()
                        && all.get(at).line().layout().cell().map(Cell::table).equals(table);
                at--) {
            pieces.add(0, at);
        }
        boolean named = pieces.stream().anyMatch(piece -> {
            Cues cues = all.get(piece);
            return cues.line().layout().cell().orElseThrow().column() == 0 && KeyHeadings.names(cues.text());
        });
        boolean headed = pieces.stream().anyMatch(piece -> {
            Cues cues = all.get(piece);
            return cues.line().layout().cell().orElseThrow().row() == 0
                    && COLUMN_HEAD.matcher(cues.text()).matches();
        });
        KeyListReader reader = new KeyListReader(all);
        if (named || headed) {
            reader.table(pieces);
        }
        boolean answers = named
                ? reader.items.size() >= KeyListReader.SEVERAL
                : answersAll(all.subList(0, at + 1), -1, reader.items, blocks);
        return answers
                ? Optional.of(new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST))
                : Optional.empty();
    }

    /** "Key: 1B 2A; 7 wax" below the last question: more answers than one question could want. */
    private static Optional<KeyList> inOneLine(List<Cues> all, Blocks blocks) {
        for (int i = all.size() - 1; i > 0 && i >= all.size() - LAST_LINES; i--) {
            Cues cuesAt = all.get(i);
            Optional<Cues.Lead> lead = all.get(i)
                    .lead()
                    .filter(l -> l.announces() == Cues.Announces.KEY)
                    .or(() -> withoutColon(cuesAt));
            if (lead.isPresent() && !isOneOfMany(all, i)) {
                KeyListReader reader = new KeyListReader(all);
                Cues cues = all.get(i);
                String whole = CircledSigns.plain(cues.line()
                        .text()
                        .substring(lead.get().end(), cues.piece().segment().to()));
                int line = cues.line().number();
                Matcher part = WHOLE_PART.matcher(whole);
                boolean behind = part.find() && part.start() > 0;
                String numbers = behind ? whole.substring(0, part.start()) : whole;
                String said = PART_BETWEEN.matcher(numbers).replaceAll(" ").strip();
                List<Integer> wrapped = wrappedDecimals(all, i);
                KeyLineParts.of(whole).forEach(named -> reader.ofPart(named.head(), named.said(), line));
                if (reader.items.isEmpty()) {
                    reader.decimals(joined(all, said, wrapped, "  "), line);
                }
                if (!reader.items.isEmpty()) {
                    reader.taken.addAll(wrapped);
                }
                List<Integer> full = reader.items.isEmpty() ? fullAbove(all, wrapped) : List.of();
                if (reader.items.isEmpty()) {
                    reader.compact(joined(all, said, full, " "), line);
                }
                if (reader.items.isEmpty()) {
                    reader.numbered(joined(all, said, full, " "), line);
                }
                reader.taken.addAll(full);
                if (reader.items.isEmpty() && reader.coded(whole, line)) {
                    return Optional.of(new KeyList(List.copyOf(reader.items), Set.of(i), KeySource.ANSWER_LIST));
                }
                reader.taken.add(i);
                reader.wrapped(i + 1 + full.size());
                goOnBelow(all, i, reader);
                boolean first =
                        !reader.items.isEmpty() && reader.items.get(0).number().equals("1");
                boolean named = reader.items.size() >= KeyListReader.SEVERAL;
                boolean several = (first || named)
                        && !isOfPairsAbove(all, i, reader.items, blocks)
                        && reader.items.size() > Math.max(2, gapsAbove(all, i))
                        && answersAll(all, i, reader.items, blocks);
                if (several || isOfOthers(all, i, reader.items, blocks) || isOfBoth(all, i, reader.items, blocks)) {
                    if (behind) {
                        reader.items.add(new KeyList.Item(part.group(1), "", part.group(2), line));
                    }
                    return Optional.of(
                            new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST));
                }
            }
        }
        return Optional.empty();
    }

    /** "KEY 1. b  2. c" and below it "3. Removable frames …": further answers on lines of their own, to numbers that stand above. */
    private static void goOnBelow(List<Cues> all, int key, KeyListReader reader) {
        for (int i = key + 1; i < all.size() && !reader.items.isEmpty(); i++) {
            Cues cues = all.get(i);
            String last = reader.items.get(reader.items.size() - 1).number();
            Optional<Label> next = cues.number()
                    .filter(label -> last.matches("\\d{1,3}") && label.ordinal() == Integer.parseInt(last) + 1)
                    .filter(label -> all.subList(0, key).stream()
                            .anyMatch(above -> above.number()
                                    .filter(asked -> asked.printed().equals(label.printed()))
                                    .isPresent()));
            if (next.isEmpty()) {
                return;
            }
            int end = i + 1;
            while (end < all.size() && all.get(end).line() == cues.line()) {
                end++;
            }
            String said = cues.line().text().substring(next.get().end());
            reader.items.add(new KeyList.Item(
                    "", next.get().printed(), said.strip(), cues.line().number()));
            IntStream.range(i, end).forEach(reader.taken::add);
            i = end - 1;
        }
    }

    /** Where other questions have their answers below them as well, "Answer: 1-b, 2-a" is that of its own question. */
    private static boolean isOneOfMany(List<Cues> all, int key) {
        long others = IntStream.range(0, all.size())
                .filter(i -> i != key && saysAnswer(all.get(i)))
                .count();
        return others >= FEWEST_OTHERS
                && !NumberedAnswers.namesSeveral(all.get(key).text());
    }

    /** Not "Answer: ______", which is only room for one. */
    private static boolean saysAnswer(Cues cues) {
        int to = cues.piece().segment().to();
        return cues.lead()
                .filter(lead -> lead.announces() == Cues.Announces.KEY && lead.end() < to)
                .map(lead -> cues.line().text().substring(lead.end(), to))
                .filter(said -> said.codePoints().anyMatch(Character::isLetterOrDigit))
                .isPresent();
    }

    /** The lines that the key wraps over, where one of them goes on with "4.2 …" in the middle of it. */
    private static List<Integer> wrappedDecimals(List<Cues> all, int key) {
        List<Integer> below = new ArrayList<>();
        for (int i = key + 1; i < all.size() && !all.get(i).is(Cues.Trait.OFF_BODY); i++) {
            if (all.get(i).spaceBefore() > 0 || below.size() == LAST_LINES) {
                return List.of();
            }
            below.add(i);
        }
        return below;
    }

    /** The lines that a key goes on over since it fills the one above, not those that begin with the next number. */
    private static List<Integer> fullAbove(List<Cues> all, List<Integer> wrapped) {
        List<Integer> below = new ArrayList<>();
        for (int piece : wrapped) {
            Cues above = all.get(piece - 1);
            boolean full = above.is(Cues.Trait.FULL) || above.text().length() > FULL_LINE;
            boolean goesOn = full && all.get(piece).number().isEmpty();
            if (!goesOn) {
                break;
            }
            below.add(piece);
        }
        return below;
    }

    private static String joined(List<Cues> all, String text, List<Integer> below, String between) {
        return Stream.concat(
                        Stream.of(text),
                        below.stream().map(piece -> all.get(piece).text()))
                .collect(Collectors.joining(between));
    }

    /** "1. D", "2. B", "3. C" at the very end: numbers that have been above, with nothing but a letter each. */
    private static Optional<KeyList> unheaded(List<Cues> all, Blocks blocks) {
        int from = all.size();
        while (from > 0
                && (all.get(from - 1).is(Cues.Trait.OFF_BODY)
                        || LETTERS_ONLY.matcher(all.get(from - 1).text()).matches())) {
            from--;
        }
        KeyListReader reader = new KeyListReader(all);
        reader.readFrom(from);
        return reader.items.size() >= KeyListReader.SEVERAL
                        && answersAll(all.subList(0, from), -1, reader.items, blocks)
                ? Optional.of(new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST))
                : Optional.empty();
    }

    /** "Answers 1B 2C 3A" needs no colon. */
    private static Optional<Cues.Lead> withoutColon(Cues cues) {
        Matcher matcher = BEFORE_NUMBERS
                .matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
        return matcher.lookingAt() ? Optional.of(new Cues.Lead(Cues.Announces.KEY, matcher.end())) : Optional.empty();
    }

    /** Whether the list has answers for several numbers of questions, the numbers of pairs aside. */
    private static boolean answersAll(List<Cues> all, int end, List<KeyList.Item> items, Blocks blocks) {
        Set<String> numbers = new HashSet<>();
        Set<Integer> inside = blocks.inside();
        int firsts = 0;
        for (int i = 0; i < all.size(); i++) {
            boolean counts = i != end && !inside.contains(i);
            firsts += counts && i < end && isFirst(all.get(i)) ? 1 : 0;
            for (Label label : counts ? all.get(i).labels() : List.<Label>of()) {
                if (label.kind() == Label.Kind.NUMBER || label.shape().equals(LabelFinder.DECIMAL_SHAPE)) {
                    NumberRange.of(label.printed()).forEach(number -> numbers.add(KeyList.withoutZeros(number)));
                }
            }
            if (counts && isNumberCell(all.get(i))) {
                numbers.add(KeyList.withoutZeros(all.get(i).text().replaceAll("\\D", "")));
            }
        }
        if (numbers.isEmpty()) {
            // Where nothing is numbered, the key counts the questions.
            long lists = all.stream()
                    .filter(cues -> cues.labels().stream()
                            .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == 1))
                    .count();
            return items.size() >= KeyListReader.SEVERAL && items.size() == lists;
        }
        // A list of its own for each question, as word processors number them, begins anew with 1 each time.
        IntStream.rangeClosed(2, numbers.size() == 1 ? firsts : 1)
                .mapToObj(String::valueOf)
                .forEach(numbers::add);
        return items.stream()
                        .filter(item -> numbers.contains(item.number().replaceAll("[a-z]$", "")))
                        .count()
                >= KeyListReader.SEVERAL;
    }

    private static boolean isFirst(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 1);
    }

    /** "Answer: 1-b, 2-c, 3-a" right below the pairs of question 7. */
    private static boolean isOfPairsAbove(List<Cues> all, int piece, List<KeyList.Item> items, Blocks blocks) {
        List<String> numbers = numbersAbove(all, piece, blocks);
        return blocks.inside().contains(piece - 1)
                && !numbers.isEmpty()
                && items.stream().noneMatch(item -> item.number().equals(numbers.get(numbers.size() - 1)))
                && items.stream().allMatch(item -> LETTER.matcher(item.text()).matches());
    }

    /** "Answers: 1 b, 2 wax" below the second of two questions. */
    private static boolean isOfBoth(List<Cues> all, int piece, List<KeyList.Item> items, Blocks blocks) {
        List<String> numbers = numbersAbove(all, piece, blocks);
        return items.size() == 2
                && numbers.equals(items.stream().map(KeyList.Item::number).toList())
                && gapsAbove(all, piece) < 2
                && !blocks.inside().contains(piece - 1);
    }

    /** The numbers that questions above a place may have, in order. */
    private static List<String> numbersAbove(List<Cues> all, int piece, Blocks blocks) {
        List<String> numbers = new ArrayList<>();
        Set<Integer> inside = blocks.inside();
        for (int i = 0; i < piece; i++) {
            for (Label label :
                    inside.contains(i) ? List.<Label>of() : all.get(i).labels()) {
                if (label.kind() == Label.Kind.NUMBER) {
                    numbers.add(KeyList.withoutZeros(label.printed()));
                }
            }
        }
        return numbers;
    }

    /** "Answers: 4. B  5. B" below question 6: none of them is for the question right above. */
    private static boolean isOfOthers(List<Cues> all, int piece, List<KeyList.Item> items, Blocks blocks) {
        List<String> numbers = numbersAbove(all, piece, blocks);
        Set<Integer> inside = blocks.inside();
        // "1 c, 2 a" below gaps or pairs may be those of the last question itself.
        boolean ownParts = items.stream().anyMatch(item -> item.number().equals("1"))
                && (gapsAbove(all, piece) > 0
                        || inside.contains(piece - 1)
                        || items.stream()
                                .anyMatch(item -> !LETTER.matcher(item.text()).matches()));
        return items.size() > 1
                && items.stream().allMatch(item -> numbers.contains(item.number()))
                && items.stream().noneMatch(item -> item.number().equals(numbers.get(numbers.size() - 1)))
                && !ownParts;
    }

    private static boolean isNumberCell(Cues cues) {
        return cues.line().layout().cell().isPresent() && cues.text().matches("\\d{1,3}[.)]?");
    }

    /** The gaps of the last question, whose own answers the line may hold. */
    private static int gapsAbove(List<Cues> all, int piece) {
        int gaps = 0;
        boolean numbered = false;
        for (int i = piece - 1; i >= 0 && !numbered; i--) {
            gaps += all.get(i).is(Cues.Trait.WRITING_LINE)
                    ? 0
                    : GapSigns.count(all.get(i).text());
            numbered = isNumberCell(all.get(i)) || all.get(i).has(Label.Kind.NUMBER);
        }
        return gaps;
    }

    /** All answers of a file that holds nothing else. */
    public static KeyList read(List<Cues> all) {
        KeyListReader reader = new KeyListReader(all);
        reader.readFrom(0);
        return new KeyList(List.copyOf(reader.items), Set.of(), KeySource.SEPARATE);
    }
}
