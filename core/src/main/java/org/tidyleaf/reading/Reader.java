package org.tidyleaf.reading;

import java.util.List;
import org.tidyleaf.source.Source;

/**
 * The door: {@code Reading reading = new Reader().read(source, Pins.NONE)}. The same source and pins give the same
 * reading on any machine. Safe for many threads. Never fails on odd documents: what is odd becomes a snag.
 */
public final class Reader {

    public Reading read(Source source, Pins pins) {
        List<Piece> pieces = PieceSplitter.split(source);
        List<Cues> cues = CueFinder.find(source, pieces);
        Habits habits = HabitFinder.find(cues);
        Lessons lessons = new Lessons(cues, pins);
        List<Assigned> roles = RoleAssigner.assign(cues, habits, pins, lessons);
        Drafts drafts = DraftMaker.make(source, roles, habits, lessons);
        List<GatheredKey> keys = KeyGatherer.gather(source, drafts);
        List<ReadQuestion> questions = QuestionMaker.make(source, drafts, keys);
        List<Snag> snags = SnagFinder.find(drafts, questions, keys);
        List<Entry> ledger = LedgerKeeper.keep(source, roles, drafts.owners());
        return new Reading(title(source, drafts), drafts.sections(), drafts.stimuli(), questions, ledger, snags);
    }

    /** The document's own title is the first guess, its file name the second. */
    private static String title(Source source, Drafts drafts) {
        return drafts.title().isEmpty() ? source.name().replaceFirst("\\.[^.]*$", "") : drafts.title();
    }
}
