package org.tidyleaf.intake.rtf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.intake.common.LineCollector;

/**
 * The field of a form, as it would stand on paper: a box, words to choose from, or room to write (RTF 1.9.1, Form Fields).
 * Programs say what it is by its instruction, by its type, or by both. One per document, not shared.
 */
final class RtfFormField {

    private static final int CHECK_BOX = 1;
    private static final int LIST = 2;

    /** Stands for "as the form's author set it". */
    private static final int AS_SET_BY_AUTHOR = 25;

    /** No instruction and no list of words is longer. */
    private static final int LONGEST = 2000;

    private final StringBuilder instruction = new StringBuilder();
    private final List<StringBuilder> entries = new ArrayList<>();
    private int type;
    private int result = AS_SET_BY_AUTHOR;
    private int standard;
    private boolean listed;
    private boolean awaited;

    void begin() {
        instruction.setLength(0);
        entries.clear();
        type = 0;
        result = AS_SET_BY_AUTHOR;
        standard = 0;
        listed = false;
        awaited = false;
    }

    void type(int number) {
        type = number;
    }

    void result(int number) {
        result = number;
    }

    void standard(int number) {
        standard = number;
    }

    /** One more word of a list; its text follows. */
    void entry() {
        entries.add(new StringBuilder());
    }

    /** What stands in the field's instruction. */
    void text(String text) {
        StringBuilder target = entries.isEmpty() ? instruction : entries.get(entries.size() - 1);
        if (target.length() < LONGEST && entries.size() < LONGEST) {
            target.append(text);
        }
    }

    /** At the end of the instruction: what the field prints by itself. */
    Optional<String> end() {
        String said = instruction.toString();
        if (type == CHECK_BOX || said.contains("FORMCHECKBOX")) {
            boolean on = (result == AS_SET_BY_AUTHOR ? standard : result) != 0;
            return Optional.of(on ? "\u2611" : "\u2610");
        }
        if ((type == LIST || said.contains("FORMDROPDOWN")) && !entries.isEmpty()) {
            listed = true;
            return Optional.of("("
                    + String.join(
                            " / ",
                            entries.stream()
                                    .map(word -> word.toString().strip())
                                    .toList())
                    + ")");
        }
        awaited = said.contains("FORMTEXT");
        return Optional.empty();
    }

    /** Whether the words to choose from are printed already, so that the chosen one is not. */
    boolean isListed() {
        return listed;
    }

    /** Something was typed into it. */
    void typed() {
        awaited = false;
    }

    /** At the end of its result: room to write where nothing was typed. */
    Optional<String> room() {
        boolean empty = awaited;
        awaited = false;
        return empty ? Optional.of(LineCollector.RULE) : Optional.empty();
    }
}
