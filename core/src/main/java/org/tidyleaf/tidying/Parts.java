package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;

/**
 * The parts that a question shows beside its stem, as text to edit: the two sides of pairs, steps, statements and columns,
 * words, places, the rows of a table.
 */
public final class Parts {

    /** What parts the cells of a row. */
    private static final String CELL = " | ";

    private Parts() {}

    /**
     * Parts of one kind.
     *
     * @param name in words for the teacher
     * @param lines a part each, as it would be typed
     */
    public record Side(String name, List<String> lines) {

        public String text() {
            return String.join("\n", lines);
        }
    }

    /** The sides of a question; empty for types that have none beside their stem and options. */
    public static List<Side> of(Question question) {
        return question.match(new Shown());
    }

    private record Shown() implements SomeCases<List<Side>> {

        @Override
        public List<Side> otherwise(Question question) {
            return List.of();
        }

        @Override
        public List<Side> match(Match question) {
            return List.of(
                    new Side("Left side", typed(question.lefts())), new Side("Right side", typed(question.targets())));
        }

        @Override
        public List<Side> order(Order question) {
            return List.of(new Side("Steps, as they are shown", typed(question.items())));
        }

        @Override
        public List<Side> grid(Grid question) {
            return List.of(
                    new Side("Statements", typed(question.rows())), new Side("Columns", typed(question.columns())));
        }

        @Override
        public List<Side> gapMatch(GapMatch question) {
            return List.of(new Side("Words to choose from", question.words()));
        }

        @Override
        public List<Side> pictureLabel(PictureLabel question) {
            return List.of(
                    new Side("Places on the picture", question.labels()),
                    new Side("Names to choose from, or none to type them", question.words()));
        }

        @Override
        public List<Side> tableEntry(TableEntry question) {
            return List.of(new Side(
                    "Rows, with | between cells and [[1]] where to write",
                    question.rows().stream()
                            .map(row -> String.join(CELL, typed(row)))
                            .toList()));
        }

        /** A part with a picture says so by a sign that is no text of it, so that its line can be told and is not empty. */
        private static List<String> typed(List<Prose> parts) {
            return IntStream.range(0, parts.size())
                    .mapToObj(i -> {
                        String text = parts.get(i).typed().replace('\n', ' ');
                        return parts.get(i).pictures().isEmpty() ? text : (text + " [picture " + (i + 1) + "]").strip();
                    })
                    .toList();
        }
    }

    /** The question with other parts; of its key stays what is about parts that stay. */
    static Question edited(Question question, List<List<String>> sides) {
        int expected = of(question).size();
        boolean possible = expected > 0
                && sides.size() == expected
                && !sides.get(0).isEmpty()
                && sides.stream().flatMap(List::stream).noneMatch(String::isBlank);
        return possible ? question.match(new Edited(sides)) : question;
    }

    private record Edited(List<List<String>> sides) implements SomeCases<Question> {

        @Override
        public Question otherwise(Question question) {
            return question;
        }

        @Override
        public Question match(Match question) {
            int[] left = origins(Shown.typed(question.lefts()), sides.get(0));
            int[] right = origins(Shown.typed(question.targets()), sides.get(1));
            List<Integer> key = new ArrayList<>();
            for (int origin : left) {
                key.add(
                        origin < 0 || question.key().isEmpty()
                                ? -1
                                : placeOf(question.key().get(origin), right));
            }
            return new Match(
                    question.particulars(),
                    proses(question.lefts(), left, sides.get(0)),
                    proses(question.targets(), right, sides.get(1)),
                    key.contains(-1) ? List.of() : key);
        }

        @Override
        public Question order(Order question) {
            int[] items = origins(Shown.typed(question.items()), sides.get(0));
            List<Integer> key = question.key().stream()
                    .map(place -> placeOf(place, items))
                    .filter(place -> place >= 0)
                    .toList();
            return new Order(
                    question.particulars(),
                    proses(question.items(), items, sides.get(0)),
                    key.size() == items.length ? key : List.of());
        }

        @Override
        public Question grid(Grid question) {
            int[] rows = origins(Shown.typed(question.rows()), sides.get(0));
            int[] columns = origins(Shown.typed(question.columns()), sides.get(1));
            List<Set<Integer>> key = new ArrayList<>();
            for (int origin : rows) {
                Set<Integer> right = new HashSet<>();
                if (origin >= 0 && !question.key().isEmpty()) {
                    question.key().get(origin).forEach(column -> right.add(placeOf(column, columns)));
                }
                key.add(right);
            }
            boolean whole = key.stream().noneMatch(right -> right.isEmpty() || right.contains(-1));
            return new Grid(
                    question.particulars(),
                    proses(question.columns(), columns, sides.get(1)),
                    proses(question.rows(), rows, sides.get(0)),
                    whole ? key : List.of());
        }

        @Override
        public Question gapMatch(GapMatch question) {
            int[] words = origins(question.words(), sides.get(0));
            List<String> key = question.key().stream()
                    .map(word -> placeOf(question.words().indexOf(word), words))
                    .filter(place -> place >= 0)
                    .map(place -> sides.get(0).get(place))
                    .toList();
            boolean whole = key.size() == question.key().size();
            return new GapMatch(question.particulars(), sides.get(0), whole ? key : List.of());
        }

        @Override
        public Question pictureLabel(PictureLabel question) {
            int[] places = origins(question.labels(), sides.get(0));
            List<List<String>> gaps = new ArrayList<>();
            for (int origin : places) {
                gaps.add(origin < 0 ? List.of() : question.gaps().get(origin));
            }
            return new PictureLabel(question.particulars(), sides.get(0), sides.get(1), gaps);
        }

        @Override
        public Question tableEntry(TableEntry question) {
            int width = sides.get(0).stream()
                    .mapToInt(row -> row.split("\\|", -1).length)
                    .max()
                    .orElse(1);
            List<List<Prose>> rows = new ArrayList<>();
            List<List<String>> gaps = new ArrayList<>();
            for (int i = 0; i < sides.get(0).size(); i++) {
                List<Prose> row = new ArrayList<>();
                String[] cells = sides.get(0).get(i).split("\\|", -1);
                for (int column = 0; column < width; column++) {
                    Prose before = i < question.rows().size()
                                    && column < question.rows().get(i).size()
                            ? question.rows().get(i).get(column)
                            : Prose.EMPTY;
                    String text = column < cells.length ? cells[column].strip() : "";
                    row.add(renumbered(before.edited(text), question, gaps));
                }
                rows.add(row);
            }
            return new TableEntry(question.particulars(), rows, gaps);
        }

        /** Gaps count on through the table; each keeps the answers of the number it was typed with. */
        private static Prose renumbered(Prose cell, TableEntry question, List<List<String>> gaps) {
            List<Inline> parts = new ArrayList<>();
            for (Inline part : cell.parts()) {
                if (part instanceof Inline.Gap gap) {
                    boolean known =
                            gap.number() >= 1 && gap.number() <= question.gaps().size();
                    gaps.add(known ? question.gaps().get(gap.number() - 1) : List.of());
                    parts.add(new Inline.Gap(gaps.size()));
                } else {
                    parts.add(part);
                }
            }
            return new Prose(parts);
        }

        private static final Pattern PICTURE = Pattern.compile("\\s*\\[picture (\\d{1,3})]");

        private static List<Prose> proses(List<Prose> old, int[] origins, List<String> lines) {
            return IntStream.range(0, origins.length)
                    .mapToObj(i -> (origins[i] < 0 ? Prose.EMPTY : old.get(origins[i]))
                            .edited(PICTURE.matcher(lines.get(i)).replaceAll("")))
                    .toList();
        }

        private static int placeOf(int old, int[] origins) {
            return old < 0
                    ? -1
                    : IntStream.range(0, origins.length)
                            .filter(i -> origins[i] == old)
                            .findFirst()
                            .orElse(-1);
        }

        /** For each line the part it was: the one that says the same, or has its picture; else, where their number stays, the one in its place. */
        private static int[] origins(List<String> old, List<String> lines) {
            int[] origins = new int[lines.size()];
            Arrays.fill(origins, -1);
            Set<Integer> taken = new HashSet<>();
            for (int i = 0; i < lines.size(); i++) {
                for (int k = 0; k < old.size() && origins[i] < 0; k++) {
                    if (!taken.contains(k) && old.get(k).equals(lines.get(i))) {
                        origins[i] = k;
                        taken.add(k);
                    }
                }
            }
            for (int i = 0; i < lines.size(); i++) {
                Matcher picture = PICTURE.matcher(lines.get(i));
                int named = picture.find() ? Integer.parseInt(picture.group(1)) - 1 : -1;
                if (origins[i] < 0 && named >= 0 && named < old.size() && taken.add(named)) {
                    origins[i] = named;
                }
            }
            for (int i = 0; i < lines.size() && old.size() == lines.size(); i++) {
                if (origins[i] < 0 && taken.add(i)) {
                    origins[i] = i;
                }
            }
            return origins;
        }
    }
}
