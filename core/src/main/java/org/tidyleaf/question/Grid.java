package org.tidyleaf.question;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Sorted;

/**
 * Statements against columns.
 *
 * @param columns the heads
 * @param rows the statements
 * @param key for each row the 0-based places of its right columns; empty where nobody has said
 */
public record Grid(Particulars particulars, List<Prose> columns, List<Prose> rows, List<Set<Integer>> key)
        implements Question {
    public Grid {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
        key = key.stream().map(Sorted::copy).toList();
        if (!key.isEmpty() && key.size() != rows.size()) {
            throw new IllegalArgumentException(key.size() + " keys for " + rows.size() + " rows");
        }
    }

    @Override
    public boolean isKeyed() {
        return !key.isEmpty() && key.stream().noneMatch(Set::isEmpty);
    }

    @Override
    public QuestionType type() {
        return QuestionType.GRID;
    }

    @Override
    public Grid withParticulars(Particulars other) {
        return new Grid(other, columns, rows, key);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.grid(this);
    }
}
