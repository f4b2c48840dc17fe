package org.tidyleaf.question;

import java.util.List;

/**
 * A table with cells to fill.
 *
 * @param rows all rows, heads first, each with as many cells; a cell to fill holds a gap, numbered from 1 row by row
 * @param gaps for each gap the accepted entries; empty lists where nobody has said
 */
public record TableEntry(Particulars particulars, List<List<Prose>> rows, List<List<String>> gaps) implements Question {
    public TableEntry {
        rows = rows.stream().map(List::copyOf).toList();
        gaps = gaps.stream().map(List::copyOf).toList();
        int blanks =
                rows.stream().flatMap(List::stream).mapToInt(Prose::gapCount).sum();
        if (gaps.size() != blanks) {
            throw new IllegalArgumentException(gaps.size() + " answers for " + blanks + " cells to fill");
        }
    }

    @Override
    public boolean isKeyed() {
        return !gaps.isEmpty() && gaps.stream().noneMatch(List::isEmpty);
    }

    @Override
    public QuestionType type() {
        return QuestionType.TABLE_ENTRY;
    }

    @Override
    public TableEntry withParticulars(Particulars other) {
        return new TableEntry(other, rows, gaps);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.tableEntry(this);
    }
}
