package org.tidyleaf.reading;

import java.lang.ref.SoftReference;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.block.BlockFinder;
import org.tidyleaf.reading.column.ColumnFinder;
import org.tidyleaf.reading.cue.CueFinder;
import org.tidyleaf.reading.cut.PieceSplitter;
import org.tidyleaf.reading.cut.PinnedWords;
import org.tidyleaf.reading.habit.HabitFinder;
import org.tidyleaf.reading.list.KeyListFinder;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.role.RoleAssigner;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * What the whole document shows by itself, before any pin but those that cut its lines: its pieces, what can be seen of each, and its habits. Made once
 * for a source, it serves every reading of it, whatever the pins; safe for many threads.
 */
public final class Survey {
    private static final int READINGS_KEPT = 4;

    private final Source source;
    private final Set<Segment> words;
    private final Set<Place> used;
    private final List<Cues> cues;
    private final Layouts layouts;
    private final Habits habits;

    /** How its last reading came about; given up where memory is short. */
    private volatile SoftReference<RoleAssigner.Trace> trace = new SoftReference<>(null);

    private final Map<Pins, SoftReference<Reading>> readings = new LinkedHashMap<>(8, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Pins, SoftReference<Reading>> eldest) {
            return size() > READINGS_KEPT;
        }
    };

    /**
     * @param words parts of lines that the teacher gave a role of their own
     * @param used places outside the body of which the teacher uses something, as hidden answers
     */
    Survey(Source source, Set<Segment> words, Set<Place> used) {
        this.source = source;
        this.words = Set.copyOf(words);
        this.used = Set.copyOf(used);
        List<Piece> split = PieceSplitter.split(source);
        List<Piece> pieces = words.isEmpty() ? split : PinnedWords.cut(source, split, words);
        cues = bodyFirst(CueFinder.find(source, pieces), used);
        Blocks blocks = BlockFinder.find(cues);
        KeyList list = KeyListFinder.find(cues, blocks);
        Layouts first = new Layouts(list, ColumnFinder.find(cues, blocks), blocks);
        habits = HabitFinder.find(cues, first.settled(), blocks.inside());
        layouts = first.without(habits.parts());
    }

    Source source() {
        return source;
    }

    /** A footnote or a page's foot in the middle of a passage is no end of it, so they are read behind the rest. */
    private static List<Cues> bodyFirst(List<Cues> all, Set<Place> used) {
        List<Cues> ordered = new ArrayList<>();
        List<Cues> apart = new ArrayList<>();
        for (Cues cues : all) {
            boolean beside = cues.is(Cues.Trait.OFF_BODY)
                    && !used.contains(cues.line().layout().place());
            (beside ? apart : ordered).add(cues);
        }
        ordered.addAll(apart);
        return List.copyOf(ordered);
    }

    /** The same source as those pins cut it; this very survey where they cut it as it is. */
    Survey fitting(Pins pins) {
        Set<Place> named = usedBy(pins);
        boolean fits = words.equals(pins.words().keySet()) && used.equals(named);
        return fits ? this : new Survey(source, pins.words().keySet(), named);
    }

    private Set<Place> usedBy(Pins pins) {
        Set<Integer> lines = new HashSet<>(pins.byLine().keySet());
        pins.words().keySet().forEach(part -> lines.add(part.line()));
        Set<Place> named = EnumSet.noneOf(Place.class);
        for (int line : lines) {
            if (line >= 1 && line <= source.lines().size()) {
                named.add(source.lines().get(line - 1).layout().place());
            }
        }
        named.remove(Place.BODY);
        named.remove(Place.TEXT_BOX);
        return named;
    }

    public List<Cues> cues() {
        return cues;
    }

    public Layouts layouts() {
        return layouts;
    }

    public Habits habits() {
        return habits;
    }

    public Optional<RoleAssigner.Trace> trace() {
        return Optional.ofNullable(trace.get());
    }

    public void remember(RoleAssigner.Trace last) {
        trace = new SoftReference<>(last);
    }

    /** What it was read as with those pins, if that is not long ago: undone and done again is the same. */
    Optional<Reading> known(Pins pins) {
        synchronized (readings) {
            return Optional.ofNullable(readings.get(pins)).map(SoftReference::get);
        }
    }

    public void remember(Pins pins, Reading reading) {
        synchronized (readings) {
            readings.put(pins, new SoftReference<>(reading));
        }
    }
}
