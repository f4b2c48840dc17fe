package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.GapSigns;

/** Lettered lines that look like options and are room to write in, or what may be written there. */
final class GapLines {

    private final ProseMaker prose;

    GapLines(ProseMaker prose) {
        this.prose = prose;
    }

    /** The question that such lines make; empty where they are something else. */
    Optional<Question> find(Draft draft, Particulars particulars, GatheredKey key) {
        String said = key.text().orElse("");
        boolean blank = draft.options.stream().anyMatch(this::hasGap);
        if (blank && hasOnlyBlanks(draft)) {
            return Optional.of(blanks(draft, particulars, said));
        }
        if (blank && isBegunList(draft)) {
            return Optional.of(begunList(draft, particulars, said));
        }
        if (blank && areSentencesWithGaps(draft)) {
            return Optional.of(sentences(draft, particulars, said));
        }
        return isSpellings(draft, particulars) || isLoneAnswer(draft, particulars, key)
                ? Optional.of(spellings(draft, particulars))
                : Optional.empty();
    }

    private boolean hasGap(Draft.OptionDraft option) {
        String text = String.join(" ", option.segments.stream().map(prose::raw).toList());
        return GapSigns.count(text) > 0;
    }

    /** "a. ____ b. ____": lettered places to write, as many answers as there are letters. */
    private boolean hasOnlyBlanks(Draft draft) {
        return draft.options.size() > 1
                && draft.options.stream()
                        .map(option -> prose.text(option.segments).plain())
                        .allMatch(text ->
                                GapSigns.count(text) == 1 && text.codePoints().noneMatch(Character::isLetterOrDigit));
    }

    /** Bullets that each have room for an answer are one question with so many gaps. */
    private boolean areSentencesWithGaps(Draft draft) {
        return draft.options.size() > 1
                && draft.options.stream()
                        .allMatch(option -> option.label.isEmpty() && !option.signed && hasGap(option));
    }

    private TextEntry sentences(Draft draft, Particulars particulars, String said) {
        List<Inline> parts = new ArrayList<>();
        int gaps = particulars.stem().gapCount();
        for (Draft.OptionDraft option : draft.options) {
            parts.add(new Inline.Break());
            for (Inline part : prose.stem(option.segments).parts()) {
                parts.add(part instanceof Inline.Gap ? new Inline.Gap(++gaps) : part);
            }
        }
        return new TextEntry(
                particulars.withStem(particulars.stem().plus(parts).joined()), GapParser.accepted(said, gaps));
    }

    /** "a) head  b) ____  c) ____": the first as an example, the others to write. */
    private boolean isBegunList(Draft draft) {
        List<String> texts = draft.options.stream()
                .map(option -> prose.text(option.segments).plain())
                .toList();
        long blank = texts.stream()
                .filter(text -> GapSigns.count(text) == 1 && text.codePoints().noneMatch(Character::isLetterOrDigit))
                .count();
        return blank > 1
                && texts.stream().allMatch(text -> GapSigns.count(text) <= 1)
                && draft.options.stream().noneMatch(option -> option.signed);
    }

    private TextEntry begunList(Draft draft, Particulars particulars, String said) {
        List<Inline> parts = new ArrayList<>();
        int gaps = particulars.stem().gapCount();
        for (Draft.OptionDraft option : draft.options) {
            boolean gap = GapSigns.count(prose.text(option.segments).plain()) == 1;
            parts.add(new Inline.Text(" " + option.label + (option.label.isEmpty() ? "" : ") "), Set.of()));
            if (gap) {
                gaps++;
                parts.add(new Inline.Gap(gaps));
            } else {
                parts.addAll(prose.text(option.segments).parts());
            }
        }
        return new TextEntry(
                particulars.withStem(particulars.stem().plus(parts).joined()), GapParser.accepted(said, gaps));
    }

    /** Below a gap, lines that are all marked right are its accepted spellings. */
    private static boolean isSpellings(Draft draft, Particulars particulars) {
        boolean allRight = !draft.options.isEmpty() && draft.options.stream().allMatch(option -> option.signed);
        int gaps = particulars.stem().gapCount();
        return allRight && (gaps == 1 || gaps == 0 && draft.options.size() == 1);
    }

    /** In a table with a question a row: of the columns for options only one is filled, and none is said to be right. */
    private static boolean isLoneAnswer(Draft draft, Particulars particulars, GatheredKey key) {
        return draft.options.size() == 1
                && particulars.stem().gapCount() < 2
                && key.source() == KeySource.NONE
                && draft.cues.get(0).line().layout().cell().isPresent();
    }

    private Question spellings(Draft draft, Particulars particulars) {
        List<String> accepted = draft.options.stream()
                .map(option -> prose.text(option.segments).plain())
                .toList();
        return GapParser.numberIfOne(new TextEntry(particulars, List.of(accepted)));
    }

    private static TextEntry blanks(Draft draft, Particulars particulars, String said) {
        List<Inline> gaps = new ArrayList<>();
        int before = particulars.stem().gapCount();
        List<String> labels = draft.options.stream().map(option -> option.label).toList();
        // Capitals are those of a picture; others only count the places.
        boolean ofPicture = labels.stream().allMatch(label -> label.matches("\\p{Lu}"));
        for (int i = 1; i <= draft.options.size(); i++) {
            gaps.add(new Inline.Text(ofPicture ? " " + labels.get(i - 1) + " " : " ", Set.of()));
            gaps.add(new Inline.Gap(before + i));
        }
        int all = before + draft.options.size();
        Optional<List<List<String>>> byLetter = before == 0 ? GapParser.lettered(said, labels) : Optional.empty();
        return new TextEntry(
                particulars.withStem(particulars.stem().plus(gaps).joined()),
                byLetter.orElseGet(() -> GapParser.accepted(said, all)));
    }
}
