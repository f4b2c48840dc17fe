package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.CircledSigns;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/**
 * Reads the lines of an answer list: "1-5: BADCB", "1 B 2 C 3 A", one answer a line, and tables with numbers in a row or a
 * column. One per list, not shared.
 */
final class KeyListReader {

    /** A key file's title names the test too. */
    private static final Pattern FILE_HEADING = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("list") + "\\W*(?:\\([^)]*\\)\\W*|[-\u2013\u2014:].{0,80})?");

    /** "distance   Bonus: a cast": what is said of something else behind a wide space. */
    private static final Pattern FIELD_BEHIND = Pattern.compile("\\s{2,}\\p{Lu}\\p{L}{2,12}\\s*:.*$");

    private static final Pattern ANNOUNCED =
            Vocabulary.pattern(Vocabulary.ALL.either("answer", "model") + "\\.?\\s*[:=]\\s*");
    private static final Pattern LABELS_BEHIND = Pattern.compile("(?:\\t|\\s{2,})\\p{L}{2,12}\\s*:.*$");

    private static final Pattern STEPS_OF_PART = Vocabulary.pattern("(" + Vocabulary.ALL.either("section")
            + "\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,4})|(?-i:[IVX]{1,4}|[A-H]))"
            + "\\s*[.:)]\\s*(\\d{1,2}(?:\\s*[,;\u2013-]\\s*\\d{1,2}){2,}|[A-Za-z](?:\\s*[,;]\\s*[A-Za-z]){2,})[.]?");

    /** "C: swarm, comb, pollen": what goes into the gaps of a part. */
    private static final Pattern WORDS_OF_PART =
            Pattern.compile("([A-H]|[IVX]{1,4})\\s*[:.]\\s+(\\p{L}[^\\d:,;]*(?:[,;]\\s*\\p{L}[^\\d:,;]*)+)");

    private static final Pattern MARKS = Pattern.compile("(?<!\\s)(?:\\t\\s*|\\s{4,})[(\\[]?\\d{1,2}[)\\]]?\\s*$");

    /** "2 (a)   11.5 (kg)   1". */
    private static final Pattern ANSWER_WITH_MARKS =
            Pattern.compile(".*\\p{L}.*(?:\\t\\s*|\\s{4,})[(\\[]?\\d{1,2}[)\\]]?\\s*");

    /** Fewer answers may be something else. */
    static final int SEVERAL = 3;

    private static final Pattern OF_PART = Pattern.compile("[(\\[]([a-h])[)\\]]\\s+(\\S.*)");
    private static final Pattern NUMBER_ALONE =
            Vocabulary.pattern("(\\d{1,3})\\s*[.):]\\s*" + Vocabulary.ALL.either("answer", "model") + "\\.?\\s*:\\s*");

    /** "(1 point each, 6 in all)" below the heading answers nothing. */
    private static final Pattern POINTS_FIRST =
            Vocabulary.pattern("[(\\[]?\\d{1,3}\\s?" + Vocabulary.ALL.either("points") + "\\b");

    private static final int LONGEST_HEADING = 90;

    private static final int LONGEST_MARKED = 400;

    private final List<Cues> all;
    final List<KeyList.Item> items = new ArrayList<>();
    final Set<Integer> taken = new HashSet<>();
    private String heading = "";
    private String waiting = "";
    private boolean marksBehind;
    private final NumberedAnswers numbers = new NumberedAnswers();
    private final LetteredKeyLines letters = new LetteredKeyLines();

    private final TabbedKeyRows rows = new TabbedKeyRows();
    private final PartAnswers parts = new PartAnswers();
    private final UnfinishedAnswers unfinished;
    private final KeyLineForms forms;
    private final KeyPartHeads partHeads;

    KeyListReader(List<Cues> all) {
        this.all = all;
        this.unfinished = new UnfinishedAnswers(all);
        this.forms = new KeyLineForms(all);
        this.partHeads = new KeyPartHeads(all);
    }

    /** "Key: 1 wax … 11 drew" wraps, and "12 found" stands on the last line of all. */
    void wrapped(int from) {
        List<KeyList.Item> kept = List.copyOf(items);
        for (int i = from; i < all.size() && !all.get(i).is(Cues.Trait.OFF_BODY); i++) {
            Matcher number = NumberedAnswers.NUMBER.matcher(all.get(i).text());
            if (goesOnWithLast(i)) {
                KeyList.Item last = items.remove(items.size() - 1);
                items.add(new KeyList.Item(
                        last.heading(),
                        last.number(),
                        last.text() + " " + all.get(i).text().strip(),
                        last.line()));
                taken.add(i);
                continue;
            }
            boolean countsOn = number.lookingAt()
                    && Integer.parseInt(number.group(1)) == numbers.last + 1
                    && all.get(i).spaceBefore() == 0;
            if (!countsOn) {
                items.clear();
                items.addAll(kept);
                taken.removeIf(piece -> piece >= from);
                return;
            }
            numbered(all.get(i).text(), all.get(i).line().number());
            taken.add(i);
        }
    }

    /** "… 4 less room to" and right below it "heat": in small letters, without a number, on the last line. */
    private boolean goesOnWithLast(int piece) {
        Cues cues = all.get(piece);
        boolean last = piece + 1 == all.size() || all.get(piece + 1).is(Cues.Trait.OFF_BODY);
        return last
                && !items.isEmpty()
                && cues.is(Cues.Trait.STARTS_LOWER)
                && cues.labels().isEmpty()
                && cues.spaceBefore() == 0
                && cues.line().layout().cell().isEmpty()
                && !all.get(piece - 1).is(Cues.Trait.ENDS_SENTENCE);
    }

    /** Most of what follows has to be answers, or the word "Answers" was something else. */
    boolean isConvincing(int headingPlace) {
        long lines = all.subList(headingPlace + 1, all.size()).stream()
                .filter(cues -> !cues.is(Cues.Trait.OFF_BODY))
                .count();
        return !items.isEmpty() && taken.size() * 2 >= lines;
    }

    void readFrom(int start) {
        long lines = IntStream.range(start, all.size())
                .filter(i -> all.get(i).piece().first() && !all.get(i).is(Cues.Trait.OFF_BODY))
                .count();
        long worth = IntStream.range(start, all.size())
                .filter(i -> all.get(i).piece().first()
                        && all.get(i).line().text().length() < LONGEST_MARKED
                        && ANSWER_WITH_MARKS.matcher(all.get(i).line().text()).matches())
                .count();
        marksBehind = worth >= SEVERAL && worth * 4 >= lines * 3;
        partHeads.look(start);
        AnswersBelowHeads.find(all, start).forEach(this::below);
        Map<Integer, List<Integer>> tables = new LinkedHashMap<>();
        for (int i = start; i < all.size(); i++) {
            Optional<Cell> cell = all.get(i).line().layout().cell();
            if (cell.isPresent()) {
                tables.computeIfAbsent(cell.get().table(), t -> new ArrayList<>())
                        .add(i);
                boolean tableOver = i + 1 == all.size()
                        || !all.get(i + 1)
                                .line()
                                .layout()
                                .cell()
                                .map(Cell::table)
                                .equals(cell.map(Cell::table));
                if (tableOver) {
                    table(tables.get(cell.get().table()));
                }
            } else if (i > start && isSameLine(i)) {
                // Letters side by side are parts of one line of answers here.
                if (taken.contains(i - 1)) {
                    taken.add(i);
                }
            } else {
                line(i);
            }
        }
    }

    /** "11.5 kg   1", "bees died   1": what each answer is worth stands far behind it, where it does so throughout. */
    private String withoutMarks(String text) {
        return marksBehind ? MARKS.matcher(text).replaceFirst("") : text;
    }

    private void below(int head, AnswersBelowHeads.Answer answer) {
        String said =
                answer.lines().stream().map(piece -> all.get(piece).text()).collect(Collectors.joining(" "));
        int line = all.get(answer.lines().get(0)).line().number();
        items.add(new KeyList.Item("", answer.number(), said, line));
        taken.add(head);
        taken.addAll(answer.lines());
    }

    private boolean isSameLine(int piece) {
        return all.get(piece - 1).line().number() == all.get(piece).line().number();
    }

    private void line(int piece) {
        Cues cues = all.get(piece);
        if (cues.is(Cues.Trait.OFF_BODY) || taken.contains(piece)) {
            return;
        }
        if (cues.is(Cues.Trait.POINTS_EACH) && POINTS_FIRST.matcher(cues.text()).lookingAt()) {
            taken.add(piece);
            return;
        }
        Matcher ofPart = KeyListFinder.PART_HEADING.matcher(cues.text());
        if (cues.text().length() < LONGEST_HEADING && ofPart.matches()) {
            heading = ofPart.group(1);
            numbers.last = 0;
            taken.add(piece);
            return;
        }
        if (isOfParts(piece) || isLettered(piece)) {
            taken.add(piece);
            return;
        }
        int before = items.size();
        rows.read(piece, cues.text()).ifPresent(found -> {
            take(found.answers(), cues.line().number());
            IntStream.range(found.from(), piece).forEach(taken::add);
        });
        wholePart(cues);
        String whole = CircledSigns.plain(
                withoutMarks(cues.line().text().substring(cues.piece().segment().from()))
                        .strip());
        List<KeyLineParts.Part> parts = KeyLineParts.of(whole);
        if (!parts.isEmpty()) {
            parts = KeyLineParts.of(whole + wrapped(piece, whole));
        }
        parts.forEach(part -> ofPart(part.head(), part.said(), cues.line().number()));
        if (!parts.isEmpty()) {
            taken.add(piece);
            return;
        }
        Optional<KeyLineParts.Part> named = partHeads.whole(whole);
        if (named.isPresent()) {
            ofPart(named.get().head(), named.get().said(), cues.line().number());
            taken.add(piece);
            return;
        }
        String text = withoutHead(whole);
        if (isBelowNumber(piece, text)) {
            return;
        }
        takeCounting(KeyLineForms.run(text), cues.line().number());
        boolean onlyNumbers = rows.isOfNumbers(piece);
        if (items.size() == before && !onlyNumbers && isPart(text, cues.line().number())) {
            taken.add(piece);
            return;
        }
        if (items.size() == before && !onlyNumbers && goesOn(piece, text)) {
            taken.add(piece);
            return;
        }
        if (items.size() == before && !onlyNumbers) {
            RangedAnswers.cut(text, all)
                    .forEach(answer ->
                            add(answer.number(), answer.said(), cues.line().number()));
        }
        if (items.size() == before && !onlyNumbers) {
            severalInLine(text, cues.line().number());
        }
        if (items.size() > before || FILE_HEADING.matcher(cues.text()).matches()) {
            taken.add(piece);
        } else if (cues.text().length() < LONGEST_HEADING) {
            heading = cues.text();
            numbers.last = 0;
            taken.add(piece);
        }
    }

    private boolean isOfParts(int piece) {
        Cues cues = all.get(piece);
        String text =
                cues.line().text().substring(cues.piece().segment().from()).strip();
        boolean full = piece > 0
                && (all.get(piece - 1).line().text().length() > FullLines.LEAST
                        || all.get(piece - 1).is(Cues.Trait.FULL));
        Optional<PartAnswers.Said> said = parts.read(text, heading, full);
        said.filter(found -> !found.before().isEmpty() && !items.isEmpty()).ifPresent(found -> {
            KeyList.Item last = items.remove(items.size() - 1);
            items.add(new KeyList.Item(
                    last.heading(), last.number(), (last.text() + " " + found.before()).strip(), last.line()));
        });
        said.ifPresent(found -> found.answers()
                .forEach(answer -> items.add(new KeyList.Item(
                        "", answer.number(), answer.said(), cues.line().number()))));
        return said.isPresent();
    }

    private boolean isLettered(int piece) {
        Cues cues = all.get(piece);
        String text =
                cues.line().text().substring(cues.piece().segment().from()).strip();
        String below = piece + 1 < all.size() ? all.get(piece + 1).text() : "";
        Optional<LetteredKeyLines.Said> said = letters.read(text, heading, below);
        said.filter(found -> !found.heading().isEmpty()).ifPresent(found -> {
            heading = found.heading();
            numbers.last = 0;
        });
        said.ifPresent(found -> take(found.answers(), cues.line().number()));
        return said.isPresent();
    }

    /** What a full line of several parts wraps over: the lines right below it that name no part at their beginning. */
    private String wrapped(int piece, String text) {
        StringBuilder below = new StringBuilder();
        String last = text;
        int at = piece + 1;
        while (at < all.size() && last.length() > FullLines.LEAST) {
            Cues cues = all.get(at);
            boolean further = isSameLine(at);
            boolean wraps =
                    cues.spaceBefore() == 0 && !cues.is(Cues.Trait.OFF_BODY) && !KeyLineParts.isNamed(cues.text());
            if (!further && !wraps) {
                break;
            }
            if (!further) {
                last = cues.line().text();
                below.append(' ').append(last);
            }
            taken.add(at);
            at++;
        }
        return below.toString();
    }

    /** The first form that the line has. */
    private void severalInLine(String text, int line) {
        List<NumberedAnswers.Answer> abreast = KeyLineForms.abreast(text);
        if (!abreast.isEmpty()) {
            take(abreast, line);
            // The columns go on below, from the number of the first.
            numbers.last = Integer.parseInt(abreast.get(0).number());
            return;
        }
        boolean found = take(forms.decimals(text), line)
                || takeCounting(KeyLineForms.compact(text, numbers.last), line)
                || take(numbers.cut(text), line);
        if (!found) {
            take(forms.coded(text, line), line);
        }
    }

    private boolean take(List<NumberedAnswers.Answer> answers, int line) {
        int before = items.size();
        answers.forEach(answer -> add(answer.number(), answer.said(), line));
        return items.size() > before;
    }

    /** The same of answers whose last number the next line counts on from. */
    private boolean takeCounting(List<NumberedAnswers.Answer> answers, int line) {
        if (!answers.isEmpty()) {
            numbers.last = Integer.parseInt(answers.get(answers.size() - 1).number());
        }
        return take(answers, line);
    }

    /** "1.1 B  1.2 C". */
    void decimals(String text, int line) {
        take(forms.decimals(text), line);
    }

    /** "1b 2a". */
    void compact(String text, int line) {
        takeCounting(KeyLineForms.compact(text, numbers.last), line);
    }

    /** "A2 wax   A3 honey"; whether there are several. */
    boolean coded(String text, int line) {
        take(forms.coded(text, line), line);
        return items.size() > 1;
    }

    /** "9. ANS:" with nothing behind it, and the answer on the line below. */
    private boolean isBelowNumber(int piece, String text) {
        Matcher alone = NUMBER_ALONE.matcher(text);
        if (alone.matches()) {
            waiting = alone.group(1);
            taken.add(piece);
            return true;
        }
        boolean answers =
                !waiting.isEmpty() && !NumberedAnswers.NUMBER.matcher(text).lookingAt();
        if (answers) {
            add(waiting, text, all.get(piece).line().number());
            numbers.last = Integer.parseInt(waiting);
            taken.add(piece);
        }
        waiting = "";
        return answers;
    }

    /** "I. 3, 5, 1, 4, 2": the numbers that the steps of a whole part get. */
    private void wholePart(Cues cues) {
        Matcher steps = STEPS_OF_PART.matcher(cues.text());
        Matcher words = WORDS_OF_PART.matcher(cues.text());
        if (steps.matches()) {
            items.add(new KeyList.Item(
                    steps.group(1), "", steps.group(2), cues.line().number()));
        } else if (words.matches() && !heading.isEmpty() && !items.isEmpty()) {
            heading = words.group(1);
            items.add(new KeyList.Item(heading, "", words.group(2), cues.line().number()));
        }
    }

    /** "Part B: 1 wax, 2 comb": the answers behind the name of their part, which is kept as their heading. */
    private String withoutHead(String text) {
        Optional<KeyPartHeads.Head> head = partHeads.find(text, heading, numbers.last);
        if (head.isEmpty()) {
            return text;
        }
        heading = head.get().heading();
        numbers.last = head.get().countsOn() ? numbers.last : 0;
        return text.substring(head.get().end());
    }

    /** What one line says of one of several parts: numbers and their answers, or an answer to it as a whole. */
    void ofPart(String head, String text, int line) {
        heading = head;
        numbers.last = 0;
        int before = items.size();
        letters.begin();
        boolean lettered = letters.read(text, head, "")
                .filter(said -> take(said.answers(), line))
                .isPresent();
        if (!lettered && !takeCounting(KeyLineForms.compact(text, numbers.last), line)) {
            numbered(text, line);
        }
        if (items.size() == before) {
            items.add(new KeyList.Item(head, "", text, line));
        }
    }

    /** The answers of a line with their numbers. */
    void numbered(String text, int line) {
        numbers.cut(text).forEach(answer -> add(answer.number(), answer.said(), line));
    }

    /** Takes the answers of a table; its pieces are taken where it has any. */
    void table(List<Integer> pieces) {
        int before = items.size();
        for (KeyTablesByPart.Said said :
                KeyTablesByPart.answers(pieces.stream().map(all::get).toList())) {
            if (said.number().isEmpty()) {
                ofPart(said.part(), said.text(), said.line());
            } else {
                items.add(new KeyList.Item(said.part(), said.number(), said.text(), said.line()));
            }
        }
        if (items.size() > before) {
            taken.addAll(pieces);
            return;
        }
        KeyTables.answers(pieces.stream().map(all::get).toList())
                .forEach(answer -> add(answer.number(), answer.said(), answer.line()));
        if (items.size() > before) {
            taken.addAll(pieces);
        }
    }

    /** "Answer: B  Points: 1": the answer alone, without its announcing word and the labels behind it. */
    private static String unlabelled(String answer) {
        Matcher announced = ANNOUNCED.matcher(answer.strip());
        return announced.lookingAt()
                ? LABELS_BEHIND
                        .matcher(answer.strip().substring(announced.end()))
                        .replaceFirst("")
                : answer;
    }

    /** "1 (a) so" is the answer of 1a, and "(b) thus" below it that of 1b. */
    private boolean isPart(String text, int line) {
        Matcher part = OF_PART.matcher(text);
        String digits =
                items.isEmpty() ? "" : items.get(items.size() - 1).number().replaceAll("\\D+$", "");
        if (!part.matches() || digits.isEmpty()) {
            return false;
        }
        items.add(new KeyList.Item(heading, digits + part.group(1), part.group(2), line));
        return true;
    }

    /** Takes a line that goes on with the answer above, and what may stand far behind its end. */
    private boolean goesOn(int piece, String text) {
        boolean below = !items.isEmpty() && taken.contains(piece - 1);
        KeyList.Item open = below ? items.get(items.size() - 1) : null;
        Optional<UnfinishedAnswers.Longer> longer = below ? unfinished.with(piece, open, text) : Optional.empty();
        longer.ifPresent(found -> {
            items.set(items.size() - 1, new KeyList.Item(open.heading(), open.number(), found.answer(), open.line()));
            others(open, found.others(), all.get(piece).line().number());
        });
        return longer.isPresent();
    }

    private void others(KeyList.Item open, String text, int line) {
        if (!text.isEmpty() && Character.isDigit(text.charAt(0))) {
            numbers.last = Integer.parseInt(open.number());
            take(numbers.cut(text), line);
        } else if (!text.isEmpty()) {
            letters.read(text, open.heading(), "").ifPresent(said -> take(said.answers(), line));
        }
    }

    private void add(String number, String answer, int line) {
        Matcher part = OF_PART.matcher(answer.strip());
        if (number.matches("\\d+")
                && part.matches()
                && !NumberedAnswers.OTHER_PART.matcher(part.group(2)).find()) {
            items.add(new KeyList.Item(heading, number + part.group(1), part.group(2), line));
            return;
        }
        String text = FIELD_BEHIND
                .matcher(unlabelled(answer))
                .replaceFirst("")
                .replaceAll("^[\\s,;:|\u2013\u2014-]+|[\\s,;|\u00b7\u2022\u2013\u2014-]+$", "");
        if (text.isEmpty() && number.matches("\\d+[a-h]")) {
            // "4b" among other answers: the letter is no part of the number but the answer.
            items.add(new KeyList.Item(
                    heading, number.substring(0, number.length() - 1), number.substring(number.length() - 1), line));
        }
        if (!text.isEmpty() && !isFurtherNumeral(number, text)) {
            items.add(new KeyList.Item(heading, number, text, line));
        }
    }

    /** "4c (i) this" and "4c (ii) that" are the answer of one part. */
    private boolean isFurtherNumeral(String number, String text) {
        int before = items.size() - 1;
        boolean further = before >= 0
                && items.get(before).number().equals(number)
                && text.matches("[(\\[]?[ivx]{2,4}[)\\].]\\s.*");
        if (further) {
            KeyList.Item first = items.get(before);
            items.set(before, new KeyList.Item(first.heading(), number, first.text() + " " + text, first.line()));
        }
        return further;
    }
}
