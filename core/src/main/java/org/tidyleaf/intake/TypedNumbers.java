package org.tidyleaf.intake;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;

/**
 * Numbers of a Markdown list as they were typed. CommonMark (0.31, 5.3) keeps the first and counts on from it; in a test
 * "1." and then "4." are questions 1 and 4.
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
        int expected = list.getMarkerStartNumber();
        for (Node item = list.getFirstChild(); item != null; item = item.getNext()) {
            int typed = number(item, expected);
            if (typed != expected) {
                visit(splitOff(list, item, typed));
                return;
            }
            expected++;
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

    /** The items from one on as a list of their own behind the list. */
    private static OrderedList splitOff(OrderedList list, Node from, int number) {
        OrderedList rest = new OrderedList();
        rest.setMarkerStartNumber(number);
        rest.setMarkerDelimiter(list.getMarkerDelimiter());
        rest.setTight(list.isTight());
        Node item = from;
        while (item != null) {
            Node next = item.getNext();
            rest.appendChild(item);
            item = next;
        }
        list.insertAfter(rest);
        return rest;
    }
}
