package org.tidyleaf.web.page;

import java.util.LinkedHashMap;
import java.util.Map;
import org.tidyleaf.question.QuestionType;

/** Question types in plain English. */
public final class TypeWords {

    private TypeWords() {}

    /** All types in words by their labels, those first that questions are changed to most. */
    public static Map<String, String> all() {
        Map<String, String> all = new LinkedHashMap<>();
        for (QuestionType type : QuestionType.values()) {
            all.put(type.label(), of(type));
        }
        return all;
    }

    public static String of(QuestionType type) {
        return switch (type) {
            case SINGLE_CHOICE -> "one right answer";
            case MULTIPLE_CHOICE -> "several right answers";
            case TRUE_FALSE -> "true or false";
            case TEXT_ENTRY -> "type the answer";
            case NUMERIC_ENTRY -> "type a number";
            case EXTENDED_TEXT -> "write freely";
            case MATCH -> "find the pairs";
            case ORDER -> "put in order";
            case GRID -> "choose for each row";
            case GAP_MATCH -> "words into gaps";
            case TABLE_ENTRY -> "complete the table";
            case HOTTEXT -> "mark words";
            case PICTURE_LABEL -> "label the picture";
        };
    }
}
