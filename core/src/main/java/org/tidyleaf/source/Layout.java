package org.tidyleaf.source;

import java.util.Optional;

/**
 * Where and how a line stands.
 *
 * @param indent distance of its first character from the left margin, in twentieths of a point; in plain text 120 for
 *     each space
 * @param spaceBefore how many empty lines stand before it
 * @param style the word processor's name of its style, or empty
 * @param place which part of the document it belongs to
 * @param cell its place in a table, if any
 * @param centered whether it is centred
 * @param box its place on the page, where pages are known
 */
public record Layout(
        int indent,
        int spaceBefore,
        String style,
        Place place,
        Optional<Cell> cell,
        boolean centered,
        Optional<Box> box) {

    /** The style that cells of a table's head rows are given. */
    public static final String TABLE_HEAD = "Table Heading";

    /** Whether it is a table's column head by its style. */
    public boolean isTableHead() {
        return cell.isPresent() && style.equalsIgnoreCase(TABLE_HEAD);
    }

    public static Layout plain(int indent, int spaceBefore) {
        return new Layout(indent, spaceBefore, "", Place.BODY, Optional.empty(), false, Optional.empty());
    }

    /** Whether the style's name says that it is a heading or a title. */
    public boolean isHeading() {
        String name = style.toLowerCase(java.util.Locale.ROOT);
        return name.startsWith("heading") || name.equals("title") || name.equals("subtitle");
    }
}
