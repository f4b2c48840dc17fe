package org.tidyleaf.exchange;

import java.io.IOException;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/**
 * A document for printing, written paragraph by paragraph to a stream. The same calls give the same bytes. A stream that
 * breaks while a picture is written is told by {@link java.io.UncheckedIOException}.
 */
interface PrintDocument {

    /**
     * How a paragraph stands.
     *
     * @param style "Title", "Heading1" or empty
     * @param indent from the left margin, in twentieths of a point
     * @param keepNext whether it stays on one page with the paragraph below
     * @param before the space above, in twentieths of a point
     */
    record Look(String style, int indent, boolean keepNext, int before) {
        static final Look PLAIN = new Look("", 0, false, 0);

        Look kept() {
            return new Look(style, indent, true, before);
        }
    }

    PrintDocument begin(Look look);

    PrintDocument end();

    PrintDocument run(String text, Set<Emphasis> emphasis);

    PrintDocument lineBreak();

    PrintDocument formula(String latex);

    /** A picture in the open paragraph, as large as it is but not wider than the page's text. */
    PrintDocument picture(Figure figure);

    PrintDocument beginTable(int columns);

    PrintDocument beginRow();

    PrintDocument beginCell();

    PrintDocument endCell();

    PrintDocument endRow();

    PrintDocument endTable();

    /** What follows begins on a page of its own. */
    PrintDocument newPage();

    /** Writes what is still to be written and leaves the stream open. */
    void finish() throws IOException;
}
