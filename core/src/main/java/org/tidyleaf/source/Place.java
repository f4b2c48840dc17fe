package org.tidyleaf.source;

/** The parts of a document that print apart from each other, or not at all. */
public enum Place {
    BODY,
    HEADER,
    FOOTER,
    FOOTNOTE,
    COMMENT,
    /** Marked by the author as not to be printed. */
    HIDDEN,
    TEXT_BOX,
    /** Letters inside a drawing, which its picture shows. */
    PICTURE
}
