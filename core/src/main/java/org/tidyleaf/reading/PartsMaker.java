package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** Questions of several parts: pairs, orders, grids and banks, with their keys. */
final class PartsMaker {

    private static final Pattern SEQUENCE =
            Pattern.compile("[(]?\\w{1,3}[)]?(?:\\s*[,;<>\u2013\u2192-]+\\s*[(]?\\w{1,3}[)]?){2,9}");

    private static final Pattern ORDER_ASKED = Vocabulary.pattern(".*\\b" + Vocabulary.ALL.either("order") + "\\b.*");
    private static final Pattern SIDE_LABEL = Pattern.compile(
            "\\s*(?:_+\\s*([A-Za-z])?\\s*_*\\s+)?(?:(?:[(\\[]?(\\d{1,2}(?:\\.\\d{1,2}(?=\\s))?|[A-Za-z]|[ivx]{2,4})(?:[.):\\]]\\s*(?:_{2,}\\s*)?|(?<=\\d\\.\\d{1,2})\\s+))|(\\d{1,2}|[A-Za-z])\\s+)");
    private static final Pattern BLANK_BEFORE =
            Pattern.compile("\\s*(?:[(\\[]\\s*([A-Za-z]|\\d{1,2}|)\\s*[)\\]]|_{2,})\\s*(?=\\S)");
    /** Dots to draw lines between. */
    private static final Pattern DOTS = Pattern.compile(
            "\\s*[\u2022\u25cf\u25cb]\\s+[\u2022\u25cf\u25cb]\\s*|\\s*(?:[\u2022\u00b7\u25cf\u25cb\u2219]|(?<=\\s)[.](?=\\s{2,}[.]\\s)|(?<=\\s{2})[oO*])\\s{2,}[.oO*\u2022\u00b7\u25cf\u25cb\u2219](?:\\s+|(?<=[^oO])\\s*)");

    private static final Pattern DOT_BESIDE =
            Pattern.compile("\\s*(?:[\u2022\u25cf\u25cb\u2219]\\s+)?(\\S.*?)(?:\\s+[\u2022\u25cf\u25cb\u2219])?\\s*");

    private static final Pattern ROW_LABEL = Pattern.compile("\\s*[(\\[]?(?:[a-z]|\\d{1,2}|[ivx]{1,4})[.):\\]]\\s+");
    private static final Pattern PAIR_KEY = Pattern.compile(
            "(\\d{1,2}\\.\\d{1,2}|[ivx]{2,4}|\\w{1,2})\\s*[-\u2013:=.)\u2192]?\\s*([A-Za-z]|\\d{1,2})(?=\\W|$)");
    private static final Pattern TICKED = Pattern.compile("[xX\u2713\u2714\u2611\u2612\u25cf]|\\[[xX]]|\\([xX]\\)");

    private final ProseMaker prose;

    PartsMaker(ProseMaker prose) {
        this.prose = prose;
    }

    /** The question that the draft's block makes; empty where it has none. */
    Optional<Question> make(Draft draft, Particulars particulars, GatheredKey key, String heading) {
        if (!draft.pairs.isEmpty()) {
            return Optional.of(match(draft, particulars, key.text().orElse("")));
        }
        if (!draft.rows.isEmpty()) {
            Optional<List<String>> named =
                    JudgedBy.in(particulars.stem().plain()).or(() -> JudgedBy.in(heading));
            Grid grid =
                    JudgedRows.find(draft.rows, particulars, prose, named).orElseGet(() -> grid(draft, particulars));
            return grid.rows().isEmpty() ? Optional.empty() : Optional.of(grid);
        }
        if (!draft.cells.isEmpty()) {
            return Optional.of(TableEntryMaker.make(
                    prose, draft.cells, particulars, key.text().orElse("")));
        }
        Optional<PictureLabel> labels = PictureLabelMaker.find(
                draft, particulars, words(draft.words), key.text().orElse(""));
        if (labels.isPresent()) {
            return Optional.of(labels.get());
        }
        Optional<Hottext> marked =
                HottextMaker.find(draft, particulars, key.text().orElse(""), heading);
        if (marked.isPresent()) {
            return Optional.of(marked.get());
        }
        List<String> words = draft.words.isEmpty() ? draft.bank : words(draft.words);
        if (!words.isEmpty() && particulars.stem().gapCount() > 0 && draft.options.isEmpty()) {
            return Optional.of(BankedAnswers.find(words, particulars)
                    .orElseGet(() -> bank(words, particulars, key.text().orElse(""))));
        }
        Optional<Order> listed = ListedOrder.find(particulars, key);
        if (listed.isPresent() && draft.options.isEmpty()) {
            return Optional.of(listed.get());
        }
        boolean ordered = draft.options.size() >= 3
                && (!draft.ranks.isEmpty()
                        || namesAllInAnotherOrder(draft, key)
                        || Vocabulary.ALL.mentions(Words.of(particulars.stem().plain()), "order")
                                && ORDER_ASKED
                                        .matcher(particulars.stem().plain())
                                        .matches())
                && draft.options.stream().noneMatch(option -> option.signed)
                && !areSequences(draft);
        return ordered ? Optional.of(order(draft, particulars, key.text().orElse(""))) : Optional.empty();
    }

    /** "Answer: D, C, A, B": where all are right, their order is what was asked. */
    private static boolean namesAllInAnotherOrder(Draft draft, GatheredKey key) {
        List<String> letters = draft.options.stream()
                .map(option -> option.label.toUpperCase(Locale.ROOT))
                .toList();
        List<String> said =
                List.of(key.text().orElse("").strip().toUpperCase(Locale.ROOT).split("[\\s,;>\u2013\u2192-]+"));
        return said.size() == letters.size()
                && new HashSet<>(said).equals(new HashSet<>(letters))
                && !said.equals(letters);
    }

    /** "(A) 1, 2, 3" and "(B) 2, 3, 1": each option is an order of what the question numbers itself. */
    private boolean areSequences(Draft draft) {
        return draft.options.stream()
                .map(option -> prose.text(option.segments).plain().strip())
                .allMatch(text -> SEQUENCE.matcher(text).matches());
    }

    /** One side of the pairs: what is printed before each, its text, and what is written on the blank before it. */
    private record Side(List<String> labels, List<Prose> texts, List<String> blanks) {

        /** The same with labels that stand in a column of their own. */
        Side orAside(List<String> others) {
            boolean fit = labels.isEmpty() && others.size() == texts.size();
            return fit
                    ? new Side(others, texts, others.stream().map(label -> "").toList())
                    : this;
        }
    }

    private static List<String> labels(Draft draft, int column) {
        return labels(draft, cell -> cell.columns() == 4 && cell.column() == column);
    }

    private static List<String> labels(Draft draft, Predicate<Cell> where) {
        return draft.pairs.stream()
                .filter(cues -> cues.line().layout().cell().filter(where).isPresent())
                .map(cues -> cues.text().replaceAll("[().]", ""))
                .toList();
    }

    private Match match(Draft draft, Particulars particulars, String said) {
        List<Segment> left = new ArrayList<>();
        List<Segment> right = new ArrayList<>();
        boolean equals = sides(draft, left, right);
        if (writtenBefore(left)
                        .filter(all -> all.stream().allMatch(String::isEmpty))
                        .isPresent()
                && side(left).labels().isEmpty()) {
            left = left.stream().map(this::withoutBlank).toList();
        }
        Side lefts = side(left).orAside(labels(draft, 0));
        Optional<List<String>> numbered = writtenBefore(right);
        if (numbered.isPresent()) {
            right = right.stream().map(this::withoutBlank).toList();
        }
        Side rights = side(right)
                .orAside(hasTermsAbove(draft) ? labels(draft, cell -> cell.column() % 2 == 0) : labels(draft, 2));
        List<String> between = writtenBetween(draft);
        List<Integer> written = (between.isEmpty() ? lefts.blanks() : between)
                .stream().map(letter -> indexOf(rights.labels(), letter)).toList();
        boolean whole = !written.isEmpty() && !written.contains(-1);
        List<Integer> before = numbered.map(numbers -> intoBlanks(numbers, said, lefts.labels()))
                .map(numbers -> lefts.labels().stream()
                        .map(label -> indexOf(numbers, label))
                        .toList())
                .orElse(List.of(-1));
        List<Integer> key = equals
                ? straight(lefts.texts().size())
                : whole ? written : before.contains(-1) ? pairKey(said, lefts, rights) : before;
        return new Match(particulars, lefts.texts(), rights.texts(), key);
    }

    /** "2 – 1 – 3" in a list of answers is what goes into the empty brackets of the right side, from above. */
    private static List<String> intoBlanks(List<String> written, String said, List<String> labels) {
        List<String> sequence = List.of(said.strip().split("\\s*[-\u2013,;/]\\s*|\\s+"));
        boolean fits = written.stream().allMatch(String::isEmpty)
                && sequence.size() == written.size()
                && labels.containsAll(sequence);
        return fits ? sequence : written;
    }

    /** "( 2 ) 1000 m": what is written in the brackets before each entry of the right side; empty where all have none. */
    private Optional<List<String>> writtenBefore(List<Segment> right) {
        List<String> written = new ArrayList<>();
        for (Segment segment : right) {
            Matcher blank = BLANK_BEFORE.matcher(prose.raw(segment));
            if (!blank.lookingAt()) {
                return Optional.empty();
            }
            written.add(blank.group(1) == null ? "" : blank.group(1));
        }
        boolean empty = written.stream().allMatch(String::isEmpty);
        return empty || !inOrder(written) && !written.contains("") ? Optional.of(written) : Optional.empty();
    }

    /** 1, 2, 3 or a, b, c are labels and no answers. */
    private static boolean inOrder(List<String> written) {
        boolean digits = written.stream().allMatch(label -> label.matches("\\d{1,2}"));
        for (int i = 1; i < written.size(); i++) {
            boolean next = digits
                    ? Integer.parseInt(written.get(i)) > Integer.parseInt(written.get(i - 1))
                    : written.get(i).compareTo(written.get(i - 1)) > 0;
            if (!next) {
                return false;
            }
        }
        return true;
    }

    private Segment withoutBlank(Segment segment) {
        Matcher blank = BLANK_BEFORE.matcher(prose.raw(segment));
        return blank.lookingAt() ? new Segment(segment.line(), segment.from() + blank.end(), segment.to()) : segment;
    }

    /** Parts the sides; whether each line is a finished pair already ("oak = hard"). */
    private static boolean sides(Draft draft, List<Segment> left, List<Segment> right) {
        boolean equals = true;
        boolean terms = hasTermsAbove(draft);
        boolean dotted = draft.pairs.stream().anyMatch(PartsMaker::isDotBetween);
        for (Cues cues : withoutHeads(draft.pairs)) {
            Segment segment = cues.piece().segment();
            Optional<Cell> cell = cues.line().layout().cell();
            if (cell.isEmpty() && MatchLists.LIST_HEAD.matcher(cues.text()).matches()) {
                continue;
            }
            if (cell.isPresent()) {
                equals = false;
                if (isBlankBetween(draft, cell.get()) || isDotBetween(cues)) {
                    continue;
                }
                boolean label = !dotted
                        && (terms || cell.get().columns() == 4)
                        && cell.get().column() % 2 == 0;
                boolean ofLeft = dotted
                        ? cell.get().column() == 0
                        : !terms && cell.get().column() < cell.get().columns() / 2;
                if (!label) {
                    (ofLeft ? left : right).add(withoutDots(cues, segment));
                }
                continue;
            }
            Matcher dots = DOTS.matcher(cues.line().text()).region(segment.from(), segment.to());
            // Behind the label, for that may stand far before its text.
            int textFrom = cues.labels().stream().mapToInt(Label::end).max().orElse(segment.from());
            Matcher between = dots.find()
                    ? dots
                    : PairLines.between(cues).matcher(cues.line().text()).region(textFrom, segment.to());
            boolean apart = between == dots || between.find();
            String behind = apart ? cues.line().text().substring(between.end(), segment.to()) : "";
            if (!behind.isBlank()) {
                left.add(new Segment(segment.line(), segment.from(), between.start()));
                right.add(new Segment(segment.line(), between.end(), segment.to()));
                equals &= between != dots && !between.group().isBlank();
            } else {
                boolean number = cues.labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                                || label.kind() == Label.Kind.ROMAN && !isSecondList(draft, cues));
                int from = cues.margin().map(Cues.Margin::to).orElse(segment.from());
                (number ? left : right).add(new Segment(segment.line(), from, segment.to()));
                equals = false;
            }
        }
        return equals;
    }

    /** A dot to draw lines from, in a cell of its own between the first and the last. */
    private static boolean isDotBetween(Cues cues) {
        return PairTables.DOTS.matcher(cues.text()).matches()
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.column() > 0 && cell.column() < cell.columns() - 1)
                        .isPresent();
    }

    /** "the queen •" beside "• lays eggs": the dots are there to draw lines between. */
    private static Segment withoutDots(Cues cues, Segment segment) {
        Matcher dotted = DOT_BESIDE.matcher(cues.line().text()).region(segment.from(), segment.to());
        return dotted.matches() && (dotted.end(1) < segment.to() || dotted.start(1) > segment.from())
                ? new Segment(segment.line(), dotted.start(1), dotted.end(1))
                : segment;
    }

    /** Lettered terms in a table, what is numbered in lines below it. */
    private static boolean hasTermsAbove(Draft draft) {
        return draft.pairs.get(0).line().layout().cell().isPresent()
                && draft.pairs.get(draft.pairs.size() - 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER)
                && draft.pairs
                        .get(draft.pairs.size() - 1)
                        .line()
                        .layout()
                        .cell()
                        .isEmpty();
    }

    /** The middle one of three columns is for the letter of what goes with it, where the third has the targets. */
    private static boolean isBlankBetween(Draft draft, Cell cell) {
        return cell.columns() == 3
                && cell.column() == 1
                && draft.pairs.stream()
                        .flatMap(cues -> cues.line().layout().cell().stream())
                        .anyMatch(other -> other.column() == 2);
    }

    private static List<String> writtenBetween(Draft draft) {
        return draft.pairs.stream()
                .filter(cues -> cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> isBlankBetween(draft, cell))
                        .isPresent())
                .map(cues -> cues.text().strip())
                .toList();
    }

    /** A first row in bold over rows that are not names the two columns. */
    private static List<Cues> withoutHeads(List<Cues> pairs) {
        int heads = 0;
        while (heads < pairs.size()
                && pairs.get(heads)
                        .line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.row() == 0)
                        .isPresent()
                && isHead(pairs.get(heads))) {
            heads++;
        }
        if (heads == 0 && isHeadLine(pairs)) {
            return pairs.subList(1, pairs.size());
        }
        List<Cues> rest = pairs.subList(heads, pairs.size());
        boolean named = heads == 2 && rest.stream().noneMatch(PartsMaker::isHead);
        return named ? rest : pairs;
    }

    /** Behind the head of a second list a numeral is a letter. */
    private static boolean isSecondList(Draft draft, Cues cues) {
        int heads = 0;
        boolean letters = false;
        for (Cues above : draft.pairs) {
            heads += MatchLists.LIST_HEAD.matcher(above.text()).matches() ? 1 : 0;
            letters |= above.labels().stream().noneMatch(label -> label.kind() == Label.Kind.ROMAN)
                    && above.labels().stream().anyMatch(label -> label.kind() == Label.Kind.LETTER);
            if (above == cues) {
                break;
            }
        }
        return heads > 1 || letters;
    }

    /** "Column A    Column B": a first line without the labels that all lines below it have. */
    private static boolean isHeadLine(List<Cues> pairs) {
        boolean lines =
                pairs.stream().allMatch(cues -> cues.line().layout().cell().isEmpty());
        return lines
                && pairs.size() > 3
                && pairs.get(0).labels().isEmpty()
                && pairs.stream().skip(1).noneMatch(cues -> cues.labels().isEmpty());
    }

    private static boolean isHead(Cues cues) {
        return cues.is(Cues.Trait.BOLD) || cues.line().layout().isTableHead();
    }

    private static List<Integer> straight(int size) {
        return IntStream.range(0, size).boxed().toList();
    }

    /** Labels count only where every entry of the side has one. */
    private Side side(List<Segment> segments) {
        List<String> labels = new ArrayList<>();
        List<Segment> cut = new ArrayList<>();
        List<String> blanks = new ArrayList<>();
        for (Segment segment : segments) {
            Matcher matcher = SIDE_LABEL.matcher(prose.raw(segment));
            if (matcher.lookingAt()) {
                labels.add(matcher.group(2) == null ? matcher.group(3) : matcher.group(2));
                blanks.add(matcher.group(1) == null ? "" : matcher.group(1));
                cut.add(new Segment(segment.line(), segment.from() + matcher.end(), segment.to()));
            }
        }
        boolean all = cut.size() == segments.size() && new HashSet<>(labels).size() == labels.size();
        List<Prose> texts = (all ? cut : segments)
                .stream().map(segment -> prose.text(List.of(segment))).toList();
        return new Side(all ? labels : List.of(), texts, all ? blanks : List.of());
    }

    private static final Pattern ANSWER_WORD =
            Vocabulary.pattern("(?<=\\d[.):]?\\s?)" + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*");

    /** A short word before a longer one. */
    private static final Pattern ARTICLE = Pattern.compile("^(?:\\p{L}{1,3}\\s+|\\p{L}{1,2}['\u2019])(?=\\p{L}{3})");

    private static List<Integer> pairKey(String said, Side lefts, Side rights) {
        Map<String, Integer> places = new TreeMap<>();
        // "(i)-(q)" says the same as "i-q".
        String bare = ANSWER_WORD.matcher(said).replaceAll(" ");
        Matcher matcher = PAIR_KEY.matcher(bare.replaceAll("[(\\[](\\w{1,4})[)\\]]", "$1"));
        while (matcher.find()) {
            int place = indexOf(rights.labels(), matcher.group(2));
            if (place >= 0) {
                places.putIfAbsent(matcher.group(1).toLowerCase(Locale.ROOT), place);
            }
        }
        List<Integer> key = new ArrayList<>();
        if (lefts.labels().isEmpty()) {
            return keyByWords(said, lefts, rights);
        }
        for (String label : lefts.labels()) {
            Integer place = places.get(label.toLowerCase(Locale.ROOT));
            if (place == null) {
                return List.of();
            }
            key.add(place);
        }
        return key;
    }

    /** "drone-b, worker-a": the lefts have no labels but their words. */
    private static List<Integer> keyByWords(String said, Side lefts, Side rights) {
        List<Integer> key = new ArrayList<>();
        for (Prose left : lefts.texts()) {
            Matcher matcher = Pattern.compile(
                            "(?i)(?:^|[\\s,;(])" + Pattern.quote(left.plain())
                                    + "(?:\\s*[-\u2013:=\u2192]\\s*|\\s+(?=(?:[A-Z]|\\d)\\s*(?:[,;.]|$)))([A-Za-z]|\\d{1,2})(?=\\W|$)")
                    .matcher(said);
            int place = matcher.find() ? indexOf(rights.labels(), matcher.group(1)) : -1;
            place = place < 0 ? byWords(said, left.plain(), rights) : place;
            if (place < 0) {
                return List.of();
            }
            key.add(place);
        }
        return key;
    }

    /** "regina - depone le uova": both sides in words, the left perhaps without its article. */
    private static int byWords(String said, String left, Side rights) {
        int whole = byWholeWords(said, left, rights);
        String bare = ARTICLE.matcher(left).replaceFirst("");
        return whole < 0 && !bare.equals(left) ? byWholeWords(said, bare, rights) : whole;
    }

    private static int byWholeWords(String said, String left, Side rights) {
        for (int i = 0; i < rights.texts().size(); i++) {
            boolean paired = Pattern.compile("(?i)(?:^|[\\s,;(])" + Pattern.quote(left) + "\\s*[-\u2013:=\u2192]+\\s*"
                            + Pattern.quote(rights.texts().get(i).plain().replaceAll("[.]$", "")) + "(?=\\W|$)")
                    .matcher(said)
                    .find();
            if (paired) {
                return i;
            }
        }
        return -1;
    }

    private static int indexOf(List<String> labels, String label) {
        for (int i = 0; i < labels.size(); i++) {
            if (labels.get(i).equalsIgnoreCase(label)) {
                return i;
            }
        }
        return -1;
    }

    private Order order(Draft draft, Particulars particulars, String said) {
        List<Prose> items = draft.options.stream()
                .map(option -> prose.text(option.segments))
                .toList();
        List<String> labels = draft.options.stream().map(option -> option.label).toList();
        boolean blank = draft.ranks.stream().allMatch(String::isEmpty);
        List<String> ranks = blank ? List.of(said.strip().split("[^\\d]+")) : draft.ranks;
        boolean ranked = draft.ranks.size() == items.size() && ranks.size() == items.size();
        List<Integer> key = ranked ? byRank(ranks) : byLetters(said, labels);
        return new Order(particulars, items, key);
    }

    private static List<Integer> byRank(List<String> ranks) {
        List<Integer> key = new ArrayList<>();
        for (int rank = 1; rank <= ranks.size(); rank++) {
            int place = ranks.indexOf(String.valueOf(rank));
            if (place < 0) {
                return List.of();
            }
            key.add(place);
        }
        return key;
    }

    private static List<Integer> byLetters(String said, List<String> labels) {
        List<Integer> key = new ArrayList<>();
        boolean unlabelled = labels.stream().allMatch(String::isEmpty);
        boolean letters = said.strip().matches("[A-Za-z]\\b.*");
        List<String> names = unlabelled
                ? IntStream.range(0, labels.size())
                        .mapToObj(i -> letters ? String.valueOf((char) ('A' + i)) : String.valueOf(i + 1))
                        .toList()
                : labels;
        for (String part : said.strip().replaceAll("[.]$", "").split("[\\s,;>\u2192\u2013-]+")) {
            key.add(indexOf(names, part.replaceAll("[().]", "")));
        }
        boolean whole = key.size() == labels.size() && !key.contains(-1) && new HashSet<>(key).size() == key.size();
        return whole ? key : List.of();
    }

    private Grid grid(Draft draft, Particulars particulars) {
        Map<Integer, Map<Integer, Cues>> table = new TreeMap<>();
        for (Cues cues : draft.rows) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            table.computeIfAbsent(cell.row(), r -> new TreeMap<>()).putIfAbsent(cell.column(), cues);
        }
        List<Integer> places = new ArrayList<>();
        List<Prose> columns = new ArrayList<>();
        List<Prose> rows = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        int statements = TickTables.statements(List.copyOf(table.values()));
        for (Map<Integer, Cues> row : table.values()) {
            if (columns.isEmpty()) {
                row.forEach((column, cues) -> {
                    if (column > statements) {
                        places.add(column);
                        columns.add(prose.text(List.of(cues.piece().segment())));
                    }
                });
            } else if (row.containsKey(statements)) {
                rows.add(prose.text(List.of(withoutLabel(row.get(statements)))));
                key.add(ticked(row, places));
            }
        }
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        return new Grid(particulars, columns, rows, keyed ? key : List.of());
    }

    /** "a) Wax melts.": the letter of a statement is no part of it. */
    private static Segment withoutLabel(Cues cues) {
        Segment whole = cues.piece().segment();
        Matcher label = ROW_LABEL.matcher(cues.line().text()).region(whole.from(), whole.to());
        return label.lookingAt() ? new Segment(whole.line(), label.end(), whole.to()) : whole;
    }

    private static Set<Integer> ticked(Map<Integer, Cues> row, List<Integer> places) {
        Set<Integer> ticked = new HashSet<>();
        row.forEach((column, cues) -> {
            if (places.contains(column) && TICKED.matcher(cues.text()).matches()) {
                ticked.add(places.indexOf(column));
            }
        });
        return ticked;
    }

    /** The words of a bank's lines. */
    static List<String> words(List<Cues> lines) {
        List<String> words = new ArrayList<>();
        for (Cues cues : lines) {
            List<String> bank = WordBanks.named(cues.text());
            List<String> named = bank.isEmpty() ? WordBanks.behindColon(cues.text()) : bank;
            if (!named.isEmpty()) {
                words.addAll(named);
                continue;
            }
            for (String word : cues.text()
                    .replaceAll("^[\\[({|]\\s*|\\s*[\\])}|]$", "")
                    .split("\\s+[\u2013\u2014-]\\s+|\\s{2,}|\\t|\\s*[,;/|\u00b7\u2022]\\s*")) {
                if (!word.isBlank()) {
                    words.add(word.strip());
                }
            }
        }
        return words.size() == 1 ? List.of(words.get(0).split("\\s+")) : words;
    }

    private static GapMatch bank(List<String> words, Particulars particulars, String said) {
        List<String> key = GapParser.accepted(said, particulars.stem().gapCount()).stream()
                .flatMap(List::stream)
                .flatMap(answer -> WordBanks.wordFor(answer, words).stream())
                .toList();
        return new GapMatch(particulars, words, key.size() == particulars.stem().gapCount() ? key : List.of());
    }
}
