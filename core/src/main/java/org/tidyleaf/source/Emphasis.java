package org.tidyleaf.source;

/** How text is set apart from the text around it. */
public enum Emphasis {
    BOLD,
    ITALIC,
    UNDERLINE,
    STRIKE,
    SUPERSCRIPT,
    SUBSCRIPT,
    HIGHLIGHT,
    /** In a colour that is neither black nor the automatic one. */
    COLOR
}
