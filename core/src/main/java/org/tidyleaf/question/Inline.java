package org.tidyleaf.question;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Sorted;

/** A part of a prose. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Inline.Text.class, name = "text"),
    @JsonSubTypes.Type(value = Inline.Formula.class, name = "formula"),
    @JsonSubTypes.Type(value = Inline.Picture.class, name = "picture"),
    @JsonSubTypes.Type(value = Inline.Gap.class, name = "gap"),
    @JsonSubTypes.Type(value = Inline.Break.class, name = "break")
})
public sealed interface Inline {

    /** The contract's plain form: formulas as LaTeX between {@code \(} and {@code \)}, a gap as {@code [[n]]}. */
    String plain();

    /** Text, all of it set in the same way. */
    record Text(String text, Set<Emphasis> emphasis) implements Inline {
        public Text {
            emphasis = Sorted.copy(emphasis);
        }

        @Override
        public String plain() {
            return text;
        }
    }

    /** A formula in LaTeX, without delimiters. */
    record Formula(String latex) implements Inline {
        @Override
        public String plain() {
            return "\\(" + latex + "\\)";
        }
    }

    /** A picture of the leaf, by its id there. */
    record Picture(String figure, String alternative) implements Inline {
        @Override
        public String plain() {
            return "";
        }
    }

    /** A place to write an answer, numbered from 1 within its question. */
    record Gap(int number) implements Inline {
        @Override
        public String plain() {
            return "[[" + number + "]]";
        }
    }

    /** A new line within a paragraph. */
    record Break() implements Inline {
        @Override
        public String plain() {
            return " ";
        }
    }
}
