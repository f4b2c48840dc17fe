package org.tidyleaf.reading.made;

import java.util.List;
import java.util.Set;

/** What can be asked in a made-up test, without any way of typing it; places in lists count from 0. */
final class Content {

    private Content() {}

    record Choice(String stem, Set<Integer> right, String why, List<String> options) {}

    record Statement(String text, boolean right, String why) {}

    /** A sentence with a gap ("_"), or a question, with the accepted answers. */
    record Asked(String text, List<String> accepted) {}

    record Number(String text, String value, String unit) {}

    record Pairs(String stem, List<String> lefts, List<String> rights, List<Integer> key) {}

    record Steps(String stem, List<String> items, List<Integer> key) {}

    /** Several questions on one text. */
    record Passage(String title, List<String> paragraphs, List<Choice> choices, List<Asked> asked) {}

    /** A text whose gaps ("_") are filled from a bank with words to spare. */
    record Bank(String stem, String text, List<String> words, List<Integer> key) {}

    /** Statements to tick one column for, each with the place of its column. */
    record Grid(String stem, List<String> columns, List<String> rows, List<Integer> key) {}

    /** A table whose cells "_" are to be filled, with what belongs in them row by row. */
    record Cells(String stem, List<List<String>> rows, List<String> accepted) {}

    /** A text whose gaps "(_)" take the numbers of the questions below, which offer words for them. */
    record Cloze(String stem, String text, List<Choice> choices) {}

    /** A question in lettered parts. */
    record Parts(String lead, List<Asked> parts) {}
}
