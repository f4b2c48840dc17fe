package org.tidyleaf.intake;

import java.util.Optional;

/** The check box of a form, of which a rich text says only what it is and how it is set. One per document, not shared. */
final class RtfCheckBox {

    private static final int CHECK_BOX = 1;

    /** Stands for "as the form's author set it" (RTF 1.9.1, Form Fields). */
    private static final int AS_SET_BY_AUTHOR = 25;

    private int type;
    private int result = AS_SET_BY_AUTHOR;
    private int standard;

    void type(int type) {
        this.type = type;
    }

    void result(int result) {
        this.result = result;
    }

    void standard(int standard) {
        this.standard = standard;
    }

    /** At the end of a field: the box it prints, if it is one. */
    Optional<String> end() {
        boolean on = (result == AS_SET_BY_AUTHOR ? standard : result) != 0;
        Optional<String> box = type == CHECK_BOX ? Optional.of(on ? "\u2611" : "\u2610") : Optional.empty();
        type = 0;
        result = AS_SET_BY_AUTHOR;
        standard = 0;
        return box;
    }
}
