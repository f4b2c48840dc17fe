package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.SpottedErrors;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Adds options, and steps to order, to the question they belong to. */
final class DraftOptions {

    /** Fewer are no options. */
    private static final int FEWEST_SPOTTED = 3;

    private static final Pattern STEP_BLANK_BEHIND =
            Pattern.compile("\\s*(?:_{2,}\\s*\\d{0,2}\\s*_*|[(\\[]\\s*\\d{0,2}\\s*[)\\]])\\s*$");

    private static final Pattern STEP_BLANK = Pattern.compile(
            "\\s*(?:[\u2022\u00b7*-]\\s+)?(?:[(\\[]\\s*\\d{0,2}\\s*[)\\]]|_{2,}\\s*\\d{0,2}\\s*_*|_\\s*\\d{1,2}\\s*_+|[\u2610\u25a1])\\s*");
    private static final Pattern STEP_NUMBER = Pattern.compile("\\s*(\\d{1,2})\\s{2,}(?=\\S)");

    private final Habits habits;
    private final Columns columns;
    private final Blocks blocks;

    DraftOptions(Habits habits, Layouts layouts) {
        this.habits = habits;
        this.columns = layouts.columns();
        this.blocks = layouts.blocks();
    }

    /** @param index the piece's place among all */
    void add(Draft draft, int index, Assigned piece) {
        Cues cues = piece.cues();
        Optional<String> column = columns.at(index)
                .filter(use -> use.kind() == Columns.Kind.OPTION)
                .map(Columns.Use::name)
                .filter(letter -> !letter.isEmpty());
        Optional<Label> label = piece.step().more() || column.isPresent() ? Optional.empty() : optionLabel(cues);
        if (!piece.step().more() || draft.options.isEmpty()) {
            String printed = column.or(() -> label.filter(l -> l.ordinal() > 0).map(Label::printed))
                    .orElse("");
            draft.options.add(new Draft.OptionDraft(
                    printed,
                    cues.sign().filter(Cues.Sign::right).isPresent()
                            || label.filter(Label::isTicked).isPresent()
                            || isRightColumn(index)));
        }
        if (blocks.at(index).equals(Optional.of(Blocks.Kind.STEP))) {
            step(draft, cues);
            return;
        }
        int from = cues.contentStart(label);
        if (cues.sign().filter(s -> s.from() == from).isPresent()) {
            addOption(
                    draft, cues, cues.sign().get().to(), cues.piece().segment().to());
        } else {
            addOption(draft, cues, from, cues.contentEnd());
        }
    }

    /** "( 3 ) Plane the end.": the number is the step's place, if it is there. */
    private void step(Draft draft, Cues cues) {
        Matcher numbered = STEP_NUMBER.matcher(cues.line().text());
        if (numbered.lookingAt()) {
            Draft.OptionDraft last = draft.options.remove(draft.options.size() - 1);
            draft.options.add(new Draft.OptionDraft(numbered.group(1), last.signed));
            addOption(draft, cues, numbered.end(), cues.piece().segment().to());
            return;
        }
        Matcher matcher = STEP_BLANK.matcher(cues.line().text());
        Matcher behind = STEP_BLANK_BEHIND.matcher(cues.line().text());
        int from = matcher.lookingAt() ? matcher.end() : 0;
        boolean last = from == 0 && behind.find();
        String rank = last
                ? behind.group().replaceAll("\\D", "")
                : from > 0 ? matcher.group().replaceAll("\\D", "") : draft.place;
        draft.ranks.add(rank);
        draft.place = "";
        addOption(
                draft,
                cues,
                from,
                last ? behind.start() : cues.piece().segment().to());
    }

    /** The number in a cell beside a step, before it or behind it. */
    void place(Draft draft, Cues cues) {
        String place = cues.text().replaceAll("\\D", "");
        boolean before = cues.line().layout().cell().orElseThrow().column() == 0;
        if (before) {
            draft.place = place;
        } else if (!draft.ranks.isEmpty()) {
            draft.ranks.set(draft.ranks.size() - 1, place);
        }
    }

    private boolean isRightColumn(int index) {
        return columns.at(index)
                .filter(use -> use.kind() == Columns.Kind.RIGHT_OPTION)
                .isPresent();
    }

    /** "c) ______ (3 points)": what stands behind a rule to write on is the worth of the question. */
    private static int withoutPointsBehindRule(Draft draft, Cues cues, int from, int to) {
        String text = from <= to ? cues.line().text().substring(from, to) : "";
        Optional<PointsFinder.Found> points = PointsFinder.beside(text)
                .filter(found -> found.from() > 0
                        && DraftKeys.BLANK
                                .matcher(text.substring(0, found.from()))
                                .matches());
        if (points.isEmpty() || draft.points.isPresent()) {
            return to;
        }
        draft.points = Optional.of(points.get().points());
        return from + points.get().from();
    }

    private void addOption(Draft draft, Cues cues, int from, int end) {
        int to = withoutPointsBehindRule(draft, cues, from, end);
        if (from <= to) {
            draft.options
                    .get(draft.options.size() - 1)
                    .segments
                    .add(new Segment(cues.line().number(), from, to));
        }
    }

    private Optional<Label> optionLabel(Cues cues) {
        return habits.optionLabel(cues)
                .or(() -> cues.labels().stream()
                        .filter(label -> label.kind() != Label.Kind.CODE && label.kind() != Label.Kind.NUMBER)
                        .findFirst());
    }

    /** Options of a question that has none and whose sentence holds them, over as many lines as it has. */
    static void offerSpotted(Source source, Draft draft) {
        List<Draft.OptionDraft> options = new ArrayList<>();
        for (Segment part : draft.options.isEmpty() ? draft.stem : List.<Segment>of()) {
            Line line = source.line(part.line());
            for (SpottedErrors.Spotted spotted : SpottedErrors.in(line, part.from(), part.to(), options.size())) {
                Draft.OptionDraft option = new Draft.OptionDraft(spotted.letter(), false);
                option.segments.add(new Segment(line.number(), spotted.from(), spotted.to()));
                options.add(option);
            }
        }
        if (options.size() >= FEWEST_SPOTTED) {
            draft.options.addAll(options);
        }
    }
}
