package org.tidyleaf.intake.text;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;

/**
 * Numbers of a Markdown list as they were typed. CommonMark (0.31, 5.3) keeps the first and counts on from it; in a test
 * "1." and then "4." are questions 1 and 4, for those between stand side by side or in a table.
 */
final class TypedNumbers extends AbstractVisitor {

    private static final Pattern NUMBER = Pattern.compile("\\s*(\\d{1,9})[.)]");

    private final String[] lines;

    /** @param text what the document was parsed from, with the places of its blocks kept */
    TypedNumbers(String text) {
        this.lines = text.split("\\R", -1);
    }

    @Override
    public void visit(OrderedList list) {
        visitChildren(list);
        OrderedList current = list;
        int expected = list.getMarkerStartNumber();
        Node item = list.getFirstChild();
        while (item != null) {
            Node next = item.getNext();
            int typed = number(item, expected);
            // Whoever types "1." before each item leaves the counting to the program.
            if (typed > expected) {
                OrderedList rest = like(list, typed);
                current.insertAfter(rest);
                current = rest;
                expected = typed;
            }
            if (current != list) {
                current.appendChild(item);
            }
            expected++;
            item = next;
        }
    }

    private int number(Node item, int otherwise) {
        if (!(item instanceof ListItem) || item.getSourceSpans().isEmpty()) {
            return otherwise;
        }
        int line = item.getSourceSpans().get(0).getLineIndex();
        int column = item.getSourceSpans().get(0).getColumnIndex();
        if (line >= lines.length || column > lines[line].length()) {
            return otherwise;
        }
        Matcher number = NUMBER.matcher(lines[line].substring(column));
        return number.lookingAt() ? Integer.parseInt(number.group(1)) : otherwise;
    }

    private static OrderedList like(OrderedList list, int number) {
        OrderedList rest = new OrderedList();
        rest.setMarkerStartNumber(number);
        rest.setMarkerDelimiter(list.getMarkerDelimiter());
        rest.setTight(list.isTight());
        return rest;
    }
}
