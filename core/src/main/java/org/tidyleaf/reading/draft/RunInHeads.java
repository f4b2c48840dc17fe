package org.tidyleaf.reading.draft;

import java.util.BitSet;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.role.RangesWithin;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Span;

/** "<b>Part A: True or false.</b> Write T or F in the blank.": a heading in bold that runs in with what is to be done. */
final class RunInHeads {

    /** Fewer words behind the heading may be a part of it. */
    private static final Pattern TELLS = Pattern.compile("\\s+\\p{Lu}\\S*(?:\\s+\\S+){2,}\\s*");

    private static final Pattern HEADS = Pattern.compile(".*\\p{L}{2}.*[.:!?\\u2013\\u2014-]\\s*");

    private RunInHeads() {}

    /** Where the heading ends in its line; the end of the piece where nothing runs in with it. */
    static int end(Cues cues) {
        Segment whole = cues.piece().segment();
        String text = cues.line().text();
        BitSet bold = new BitSet();
        for (Span span : cues.line().spans()) {
            if (span.emphasis().contains(Emphasis.BOLD) || span.emphasis().contains(Emphasis.UNDERLINE)) {
                bold.set(span.from(), span.to());
            }
        }
        int end = whole.from();
        while (end < whole.to() && (bold.get(end) || Character.isWhitespace(text.charAt(end)))) {
            end++;
        }
        while (end > whole.from() && Character.isWhitespace(text.charAt(end - 1))) {
            end--;
        }
        if (cues.is(Cues.Trait.RANGE) && end == whole.from()) {
            end = RangesWithin.told(cues).orElse(end);
        }
        boolean runsIn = bold.nextSetBit(end) < 0
                && HEADS.matcher(text.substring(whole.from(), end)).matches()
                && TELLS.matcher(text.substring(end, whole.to())).matches();
        return runsIn ? end : whole.to();
    }
}
