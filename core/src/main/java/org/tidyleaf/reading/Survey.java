package org.tidyleaf.reading;

import java.util.List;
import org.tidyleaf.source.Source;

/**
 * What the whole document shows by itself, before any pin: its pieces, what can be seen of each, and its habits. Made once
 * for a source, it serves every reading of it, whatever the pins; safe for many threads.
 */
public final class Survey {
    private final Source source;
    private final List<Cues> cues;
    private final Layouts layouts;
    private final Habits habits;

    Survey(Source source) {
        this.source = source;
        List<Piece> pieces = PieceSplitter.split(source);
        cues = List.copyOf(CueFinder.find(source, pieces));
        Blocks blocks = BlockFinder.find(cues);
        KeyList list = KeyListFinder.find(cues, blocks);
        layouts = new Layouts(list, ColumnFinder.find(cues), blocks);
        habits = HabitFinder.find(cues, layouts.settled(), blocks.inside());
    }

    Source source() {
        return source;
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
