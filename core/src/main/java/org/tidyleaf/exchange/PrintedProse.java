package org.tidyleaf.exchange;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.ProseRows;
import org.tidyleaf.source.Figure;

/** Lines, prose, tables and pictures of a printed test. */
final class PrintedProse {

    static final String RULE = "_".repeat(16);

    /** In twentieths of a point. */
    static final int INDENT = 400;

    private final PrintDocument document;
    private final Function<String, Optional<Figure>> figures;

    PrintedProse(PrintDocument document, Function<String, Optional<Figure>> figures) {
        this.document = document;
        this.figures = figures;
    }

    /** @param indent in twentieths of a point */
    void line(String text, int indent) {
        document.begin(new PrintDocument.Look("", indent, false, 0))
                .run(text, Set.of())
                .end();
    }

    void said(String word, Prose text) {
        document.begin(new PrintDocument.Look("", INDENT, false, 0)).run(word, Set.of());
        write(text);
        document.end();
    }

    void write(Prose prose) {
        write(prose, false);
    }

    /** @param numbered whether the gaps are numbered for what is lettered to go into them */
    void write(Prose prose, boolean numbered) {
        for (Inline part : prose.parts()) {
            if (part instanceof Inline.Text text) {
                document.run(text.text(), text.emphasis());
            } else if (part instanceof Inline.Formula formula) {
                document.formula(formula.latex());
            } else if (part instanceof Inline.Gap gap) {
                document.run(numbered ? "(" + gap.number() + ") " + RULE : RULE, Set.of());
            } else if (part instanceof Inline.Break) {
                document.lineBreak();
            }
        }
    }

    void pictures(Prose prose) {
        prose.pictures()
                .forEach(picture -> figures.apply(picture.figure()).ifPresent(figure -> {
                    document.begin(PrintDocument.Look.PLAIN.kept());
                    document.picture(figure);
                    document.end();
                }));
    }

    void option(String label, Prose text, boolean last) {
        document.begin(new PrintDocument.Look("", INDENT, !last, 0)).run(label, Set.of());
        write(text);
        document.end();
        pictures(text);
    }

    void cell(String label, Prose text) {
        document.beginCell().begin(PrintDocument.Look.PLAIN).run(label, Set.of());
        write(text);
        document.end().endCell();
    }

    void table(ProseRows table) {
        document.beginTable(table.columns());
        for (List<Prose> row : table.rows()) {
            document.beginRow();
            for (int column = 0; column < table.columns(); column++) {
                document.beginCell().begin(PrintDocument.Look.PLAIN);
                write(column < row.size() ? row.get(column) : Prose.EMPTY);
                document.end().endCell();
            }
            document.endRow();
        }
        document.endTable();
    }
}
