package org.tidyleaf.reading;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * What the whole document shows by itself, before any pin but those that cut its lines: its pieces, what can be seen of each, and its habits. Made once
 * for a source, it serves every reading of it, whatever the pins; safe for many threads.
 */
public final class Survey {
    private final Source source;
    private final Set<Segment> words;
    private final List<Cues> cues;
    private final Layouts layouts;
    private final Habits habits;

    /** @param words parts of lines that the teacher gave a role of their own */
    Survey(Source source, Set<Segment> words) {
        this.source = source;
        this.words = Set.copyOf(words);
        List<Piece> split = PieceSplitter.split(source);
        List<Piece> pieces = words.isEmpty() ? split : PinnedWords.cut(source, split, words);
        cues = List.copyOf(CueFinder.find(source, pieces));
        Blocks blocks = BlockFinder.find(cues);
        KeyList list = KeyListFinder.find(cues, blocks);
        layouts = new Layouts(list, ColumnFinder.find(cues), blocks);
        habits = HabitFinder.find(cues, layouts.settled(), blocks.inside());
    }

    Source source() {
        return source;
    }

    /** The same source as those pins cut it; this very survey where they cut it as it is. */
    Survey fitting(Pins pins) {
        return words.equals(pins.words().keySet())
                ? this
                : new Survey(source, pins.words().keySet());
    }

    List<Cues> cues() {
        return cues;
    }

    Layouts layouts() {
        return layouts;
    }

    Habits habits() {
        return habits;
    }
}
