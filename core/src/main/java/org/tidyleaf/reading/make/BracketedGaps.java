package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.line.GapParser;

/** Answers printed in the sentence itself: "Wind is measured with an [anemometer]." */
final class BracketedGaps {

    private static final Pattern BRACKETED = Pattern.compile("\\[([^\\[\\]]{0,40})]");

    private static final Pattern ASKED_BEFORE = Pattern.compile("(?s).*(?:\\?\\s*|\\s{3,})");

    private BracketedGaps() {}

    /** The question with its bracketed words as gaps; empty where it has none. */
    static Optional<TextEntry> find(Particulars particulars) {
        List<Inline> parts = new ArrayList<>();
        List<List<String>> gaps = new ArrayList<>();
        for (Inline part : particulars.stem().parts()) {
            if (part instanceof Inline.Text text) {
                cut(text, parts, gaps);
            } else {
                parts.add(part);
            }
        }
        boolean found = !gaps.isEmpty() && particulars.stem().gapCount() == 0;
        if (found && gaps.size() == 1 && isBehind(parts)) {
            Prose asked = new Prose(parts.subList(0, parts.size() - 1)).joined();
            return Optional.of(new TextEntry(particulars.withStem(asked), gaps));
        }
        return found ? Optional.of(new TextEntry(particulars.withStem(new Prose(parts)), gaps)) : Optional.empty();
    }

    /** "How many are there?   [150]": behind the whole question, or far behind it, the brackets hold its answer and are no gap. */
    private static boolean isBehind(List<Inline> parts) {
        int last = parts.size() - 1;
        return last > 0
                && parts.get(last) instanceof Inline.Gap
                && ASKED_BEFORE.matcher(parts.get(last - 1).plain()).matches();
    }

    private static void cut(Inline.Text text, List<Inline> parts, List<List<String>> gaps) {
        Matcher matcher = BRACKETED.matcher(text.text());
        int at = 0;
        while (matcher.find()) {
            add(parts, text, at, matcher.start());
            gaps.add(
                    matcher.group(1).isBlank()
                            ? List.of()
                            : GapParser.accepted(matcher.group(1), 1).get(0));
            parts.add(new Inline.Gap(gaps.size()));
            at = matcher.end();
        }
        add(parts, text, at, text.text().length());
    }

    private static void add(List<Inline> parts, Inline.Text text, int from, int to) {
        if (from < to) {
            parts.add(new Inline.Text(text.text().substring(from, to), text.emphasis()));
        }
    }
}
