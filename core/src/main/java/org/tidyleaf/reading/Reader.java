package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.check.LedgerKeeper;
import org.tidyleaf.reading.check.SnagFinder;
import org.tidyleaf.reading.cue.CueFinder;
import org.tidyleaf.reading.cut.PieceSplitter;
import org.tidyleaf.reading.draft.DraftMaker;
import org.tidyleaf.reading.key.InstructorCopy;
import org.tidyleaf.reading.key.KeyGatherer;
import org.tidyleaf.reading.list.KeyInOrder;
import org.tidyleaf.reading.list.KeyListFinder;
import org.tidyleaf.reading.make.QuestionMaker;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.reading.role.Lessons;
import org.tidyleaf.reading.role.RoleAssigner;
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
        return read(survey(source), pins, key);
    }

    /** What a document shows before any pin; worth keeping where it is to be read again with other pins. */
    public Survey survey(Source source) {
        return new Survey(source, Set.of(), Set.of());
    }

    /** The same, where pins of words cut its lines otherwise. */
    public Survey survey(Survey known, Pins pins) {
        return known.fitting(pins);
    }

    public Reading read(Survey survey, Pins pins) {
        return survey.known(pins).orElseGet(() -> {
            Reading reading = read(survey, pins, Optional.empty());
            survey.remember(pins, reading);
            return reading;
        });
    }

    private Reading read(Survey known, Pins pins, Optional<Source> key) {
        Survey survey = known.fitting(pins);
        Source source = survey.source();
        Layouts layouts = survey.layouts();
        Lessons lessons = new Lessons(survey.cues(), pins);
        List<Assigned> roles = RoleAssigner.assign(survey, pins, lessons);
        Drafts drafts = DraftMaker.make(source, roles, survey.habits(), lessons, layouts);
        Optional<InstructorCopy> copy = key.map(other -> new InstructorCopy(read(other, Pins.NONE)))
                .filter(other -> other.isOf(source, drafts.questions()));
        KeyList list = copy.map(other -> other.added(source, drafts.questions()))
                .orElseGet(() -> key.map(other -> keyList(other, drafts)).orElse(layouts.keyList()));
        List<GatheredKey> keys = KeyGatherer.gather(source, drafts, list);
        List<ReadQuestion> made = QuestionMaker.make(source, drafts, keys);
        List<ReadQuestion> questions =
                copy.map(other -> made.stream().map(other::keyed).toList()).orElse(made);
        List<Snag> snags = SnagFinder.find(source, drafts.roles(), drafts, questions, keys);
        List<Entry> ledger = LedgerKeeper.keep(source, drafts.roles(), drafts.owners(), layouts);
        return new Reading(title(source, drafts), drafts.sections(), drafts.stimuli(), questions, ledger, snags);
    }

    private static KeyList keyList(Source key, Drafts drafts) {
        List<Cues> cues = CueFinder.find(key, PieceSplitter.split(key));
        return KeyInOrder.inFile(cues, drafts.questions()).orElseGet(() -> KeyListFinder.read(cues));
    }

    /** The document's own title is the first guess, its file name the second. */
    private static String title(Source source, Drafts drafts) {
        return drafts.title().isEmpty() ? source.name().replaceFirst("\\.[^.]*$", "") : drafts.title();
    }
}
