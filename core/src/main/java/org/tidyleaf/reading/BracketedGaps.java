package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.TextEntry;

/** Answers printed in the sentence itself: "Wind is measured with an [anemometer]." */
final class BracketedGaps {

    /** Curly brackets behind a letter or a sign of mathematics belong to a formula. */
    private static final Pattern BRACKETED =
            Pattern.compile("\\[(?<square>[^\\[\\]]{0,40})]|(?<![\\w\\\\^}])\\{(?<curly>[^{}\\\\^_]{1,40})}");

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
        return found ? Optional.of(new TextEntry(particulars.withStem(new Prose(parts)), gaps)) : Optional.empty();
    }

    private static void cut(Inline.Text text, List<Inline> parts, List<List<String>> gaps) {
        Matcher matcher = BRACKETED.matcher(text.text());
        int at = 0;
        while (matcher.find()) {
            add(parts, text, at, matcher.start());
            String said = matcher.group("square") == null ? matcher.group("curly") : matcher.group("square");
            gaps.add(said.isBlank() ? List.of() : GapParser.accepted(said, 1).get(0));
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
