package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.source.Source;

/**
 * The door: {@code Reading reading = new Reader().read(source, Pins.NONE)}. The same source and pins give the same
 * reading on any machine. Safe for many threads. Never fails on odd documents: what is odd becomes a snag.
 */
public final class Reader {

    public Reading read(Source source, Pins pins) {
        return read(source, pins, Optional.empty());
    }

    /**
     * Reads a test whose key is in a file of its own: a list or table of answers, or the same test with its answers.
     *
     * @param key what the key file holds; an answer list in the test itself is then left alone
     */
    public Reading read(Source source, Pins pins, Optional<Source> key) {
        List<Piece> pieces = PieceSplitter.split(source);
        List<Cues> cues = CueFinder.find(source, pieces);
        Blocks blocks = BlockFinder.find(cues);
        KeyList ownList = KeyListFinder.find(cues, blocks);
        Layouts layouts = new Layouts(ownList, ColumnFinder.find(cues), blocks);
        Habits habits =
                HabitFinder.find(cues, layouts.settled(), layouts.blocks().inside());
        Lessons lessons = new Lessons(cues, pins);
        List<Assigned> roles = RoleAssigner.assign(cues, habits, pins, lessons, layouts);
        Drafts drafts = DraftMaker.make(source, roles, habits, lessons, layouts);
        KeyList list = key.map(Reader::keyList).orElse(ownList);
        List<GatheredKey> keys = KeyGatherer.gather(source, drafts, list);
        List<ReadQuestion> questions = QuestionMaker.make(source, drafts, keys);
        if (key.isPresent()) {
            questions = withCopy(questions, key.get());
        }
        List<Snag> snags = SnagFinder.find(source, drafts.roles(), drafts, questions, keys);
        List<Entry> ledger = LedgerKeeper.keep(source, drafts.roles(), drafts.owners());
        return new Reading(title(source, drafts), drafts.sections(), drafts.stimuli(), questions, ledger, snags);
    }

    private List<ReadQuestion> withCopy(List<ReadQuestion> questions, Source key) {
        InstructorCopy copy = new InstructorCopy(read(key, Pins.NONE));
        return copy.fits(questions) ? questions.stream().map(copy::keyed).toList() : questions;
    }

    private static KeyList keyList(Source key) {
        return KeyListFinder.read(CueFinder.find(key, PieceSplitter.split(key)));
    }

    /** The document's own title is the first guess, its file name the second. */
    private static String title(Source source, Drafts drafts) {
        return drafts.title().isEmpty() ? source.name().replaceFirst("\\.[^.]*$", "") : drafts.title();
    }
}
