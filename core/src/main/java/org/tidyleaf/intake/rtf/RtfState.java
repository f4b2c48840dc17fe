package org.tidyleaf.intake.rtf;

import java.util.EnumSet;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Place;

/** What a group of a rich text inherits from the one around it and may change for itself. */
final class RtfState {

    /** What the text of a group is for. */
    enum Destination {
        PRINTED,
        /** Nothing that anybody reads. */
        SILENT,
        COLORS,
        FONTS,
        STYLES,
        LABEL,
        PICTURE,
        /** The name or the value of a picture's property. */
        PROPERTY_NAME,
        PROPERTY_VALUE
    }

    /** What the end of a group ends. */
    enum End {
        NOTHING,
        PICTURE,
        PROPERTY,
        FORMULA,
        FORMULA_PART,
        FIELD,
        FIELD_RESULT,
        /** A text that stands beside the one around it, as a footnote. */
        APART
    }

    Set<Emphasis> look = EnumSet.noneOf(Emphasis.class);
    Destination destination = Destination.PRINTED;
    End ends = End.NOTHING;
    Place place = Place.BODY;
    boolean hidden;
    boolean deleted;
    boolean ignorable;
    boolean first = true;
    boolean centered;
    /** How many tables are around the paragraph; 0 for none. */
    int tables;

    int style;
    int indent;
    int firstIndent;
    int font = -1;
    int unicodeSkip = 1;

    /** What a group inside begins with. */
    RtfState inner() {
        RtfState inner = new RtfState();
        inner.look = EnumSet.noneOf(Emphasis.class);
        inner.look.addAll(look);
        inner.destination = destination;
        inner.place = place;
        inner.hidden = hidden;
        inner.deleted = deleted;
        inner.centered = centered;
        inner.tables = tables;
        inner.style = style;
        inner.indent = indent;
        inner.firstIndent = firstIndent;
        inner.font = font;
        inner.unicodeSkip = unicodeSkip;
        return inner;
    }

    /** The {@code \pard} word: the paragraph begins with nothing inherited. */
    void resetParagraph() {
        tables = 0;
        style = 0;
        centered = false;
        indent = 0;
        firstIndent = 0;
    }

    /** The {@code \plain} word: the characters look like nothing special. */
    void resetCharacters() {
        look = EnumSet.noneOf(Emphasis.class);
        hidden = false;
        deleted = false;
    }

    void set(Emphasis emphasis, boolean on) {
        if (on) {
            look.add(emphasis);
        } else {
            look.remove(emphasis);
        }
    }
}
