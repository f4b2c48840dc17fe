package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;

/** "1 ______  2 ______  3 ______" or "blade ____  handle ____" right below a picture: room for the names of its places, and no lines for an essay. */
public final class RoomBelowPictures {

    private static final Pattern NAMED =
            Pattern.compile("\\s*(?:[(]?(?:\\d{1,2}|\\p{L}[\\p{L} ]{0,24})[.):=]?\\s*[_.\u2026]{3,}\\s*){2,20}");

    private RoomBelowPictures() {}

    public static boolean isRoom(Cues cues) {
        return NAMED.matcher(cues.text()).matches();
    }

    static void mark(List<Cues> all) {
        boolean pictured = false;
        for (Cues cues : all) {
            boolean numbered = pictured && isRoom(cues);
            if (numbered) {
                cues.traits().remove(Trait.WRITING_LINE);
                cues.traits().remove(Trait.RULE);
                cues.traits().add(Trait.GAP);
            }
            pictured = numbered || cues.is(Trait.FIGURE_ONLY);
        }
    }
}
