package org.tidyleaf.tidying;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Segment;

/** All decisions about one leaf in the order they were made, undone ones included. */
public final class Decisions {
    private final List<Decision> inForce;
    private final Optional<Decision> undone;

    public Decisions(List<Decision> made) {
        Deque<Decision> back = new ArrayDeque<>();
        List<Decision> force = new ArrayList<>();
        for (Decision decision : made) {
            if (decision instanceof Decision.Undo) {
                if (force.size() > takenOver(force)) {
                    back.push(force.remove(force.size() - 1));
                }
            } else if (decision instanceof Decision.BackTo earlier) {
                while (force.size() > Math.max(takenOver(force), earlier.kept())) {
                    back.push(force.remove(force.size() - 1));
                }
            } else if (decision instanceof Decision.Redo) {
                if (!back.isEmpty()) {
                    force.add(back.pop());
                }
            } else {
                force.add(decision);
                back.clear();
            }
        }
        this.inForce = List.copyOf(force);
        this.undone = Optional.ofNullable(back.peek());
    }

    /** What came in whole stays: there is nothing before it to go back to. */
    private static int takenOver(List<Decision> force) {
        return !force.isEmpty() && force.get(0) instanceof Decision.Take ? 1 : 0;
    }

    /** Those that hold, oldest first; those made at once one after the other. */
    public List<Decision> inForce() {
        return inForce.stream().flatMap(Decisions::parts).toList();
    }

    private static Stream<Decision> parts(Decision decision) {
        return decision instanceof Decision.Several several ? several.parts().stream() : Stream.of(decision);
    }

    /** Those that hold as they were made, oldest first. */
    public List<Decision> made() {
        return inForce;
    }

    /** The one that undo would take back. */
    public Optional<Decision> last() {
        return inForce.size() <= takenOver(inForce) ? Optional.empty() : Optional.of(inForce.get(inForce.size() - 1));
    }

    /** The one that redo would bring back. */
    public Optional<Decision> undone() {
        return undone;
    }

    /** What the reader has to obey; the latest pin of a line or of words in it holds. */
    public Pins pins() {
        Map<Integer, Pins.Pin> lines = new HashMap<>();
        Map<Segment, Role> words = new HashMap<>();
        for (Decision decision : inForce()) {
            if (decision instanceof Decision.PinLines pin) {
                pin.lines().forEach(line -> lines.put(line, pin.pinOf(line)));
                words.keySet().removeIf(part -> pin.lines().contains(part.line()));
            } else if (decision instanceof Decision.PinWords pin) {
                words.keySet().removeIf(part -> overlap(part, pin.words()));
                words.put(pin.words(), pin.role());
            }
        }
        return new Pins(lines, words);
    }

    private static boolean overlap(Segment one, Segment other) {
        return one.line() == other.line() && one.from() < other.to() && other.from() < one.to();
    }
}
