package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.block.JudgedRows;
import org.tidyleaf.reading.block.ListedOrder;
import org.tidyleaf.reading.block.OfferedSequences;
import org.tidyleaf.reading.block.SortingTables;
import org.tidyleaf.reading.block.TickTables;
import org.tidyleaf.reading.cue.LetteredBanks;
import org.tidyleaf.reading.draft.JudgedBullets;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** Questions of several parts: pairs, orders, grids and banks, with their keys. */
final class PartsMaker {

    private static final Pattern SEQUENCE =
            Pattern.compile("[(]?\\w{1,3}[)]?(?:\\s*[,;<>\u2013\u2192-]+\\s*[(]?\\w{1,3}[)]?){2,9}");

    private static final Pattern ORDER_ASKED = Vocabulary.pattern(".*\\b" + Vocabulary.ALL.either("order") + "\\b.*");

    private static final Pattern ROW_LABEL = Pattern.compile("\\s*[(\\[]?(?:[a-z]|\\d{1,2}|[ivx]{1,4})[.):\\]]\\s+");

    private static final Pattern TICKED = Pattern.compile("[xX\u2713\u2714\u2611\u2612\u25cf]|\\[[xX]]|\\([xX]\\)");

    private final ProseMaker prose;
    private final Supplier<List<String>> trueAndFalse;

    /** @param trueAndFalse the two words in the language of the paper */
    PartsMaker(ProseMaker prose, Supplier<List<String>> trueAndFalse) {
        this.prose = prose;
        this.trueAndFalse = trueAndFalse;
    }

    /** The question that the draft's block makes; empty where it has none. */
    Optional<Question> make(Draft draft, Particulars particulars, GatheredKey key, String heading) {
        if (!draft.statements.isEmpty()) {
            return Optional.of(JudgedBullets.grid(draft, particulars, prose, trueAndFalse));
        }
        if (!draft.pairs.isEmpty()) {
            return Optional.of(
                    new MatchMaker(prose).match(draft, particulars, key.text().orElse("")));
        }
        Optional<Grid> sorting = draft.rows.isEmpty()
                ? Optional.empty()
                : SortingTables.find(draft, particulars, prose, key.text().orElse(""));
        if (sorting.isPresent()) {
            return Optional.of(sorting.get());
        }
        if (!draft.rows.isEmpty()) {
            Optional<List<String>> named =
                    JudgedBy.in(particulars.stem().plain()).or(() -> JudgedBy.in(heading));
            Grid grid = JudgedRows.find(draft.rows, particulars, prose, named.orElseGet(trueAndFalse))
                    .orElseGet(() -> grid(draft, particulars));
            return grid.rows().isEmpty() ? Optional.empty() : Optional.of(grid);
        }
        if (!draft.cells.isEmpty()) {
            return Optional.of(TableEntryMaker.make(
                    prose, draft.cells, particulars, key.text().orElse("")));
        }
        Optional<PictureLabel> labels = PictureLabelMaker.find(
                draft, particulars, BankWords.of(draft.words), key.text().orElse(""));
        if (labels.isPresent()) {
            return Optional.of(labels.get());
        }
        Optional<Hottext> marked =
                HottextMaker.find(draft, particulars, key.text().orElse(""), heading);
        if (marked.isPresent()) {
            return Optional.of(marked.get());
        }
        List<String> words = draft.words.isEmpty() ? draft.bank : BankWords.of(draft.words);
        if (!words.isEmpty() && particulars.stem().gapCount() > 0 && draft.options.isEmpty()) {
            return Optional.of(BankedAnswers.find(words, particulars)
                    .orElseGet(() -> bank(words, particulars, key.text().orElse(""), draft)));
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
                .allMatch(text -> SEQUENCE.matcher(text).matches() || OfferedSequences.isOne(text));
    }

    /** The place of a label, whatever its case; -1 where there is none. */
    static int indexOf(List<String> labels, String label) {
        for (int i = 0; i < labels.size(); i++) {
            if (labels.get(i).equalsIgnoreCase(label)) {
                return i;
            }
        }
        return -1;
    }

    private Order order(Draft draft, Particulars particulars, String said) {
        List<Prose> items = ListedOptions.unparted(draft.options.stream()
                .map(option -> prose.text(option.segments))
                .toList());
        List<String> labels = draft.options.stream().map(option -> option.label).toList();
        boolean blank = draft.ranks.stream().allMatch(String::isEmpty);
        List<String> ranks = blank ? List.of(said.strip().split("[^\\d]+")) : draft.ranks;
        boolean ranked = draft.ranks.size() == items.size() && ranks.size() == items.size();
        List<Integer> key = ranked ? byRank(ranks) : byLetters(said, labels);
        return new Order(particulars, items, key.isEmpty() ? ListedOrder.byWords(said, items) : key);
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

    private static GapMatch bank(List<String> words, Particulars particulars, String said, Draft draft) {
        List<String> byLetter = LetteredBanks.key(
                said, BankWords.lettered(draft.words), particulars.stem().gapCount());
        if (!byLetter.isEmpty()) {
            return new GapMatch(particulars, words, byLetter);
        }
        List<String> key = GapParser.accepted(said, particulars.stem().gapCount()).stream()
                .flatMap(List::stream)
                .flatMap(answer -> WordBanks.wordFor(answer, words).stream())
                .toList();
        return new GapMatch(particulars, words, key.size() == particulars.stem().gapCount() ? key : List.of());
    }
}
