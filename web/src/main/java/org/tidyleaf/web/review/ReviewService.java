package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.util.ConcurrentReferenceHashMap;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.KeyLine;
import org.tidyleaf.tidying.Parts;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.MadeDecision;
import org.tidyleaf.web.leaf.OpenLeaf;

/** Corrections made on the review page, each one decision. */
@Service
class ReviewService {
    private static final Pattern WORD = Pattern.compile("\\S+");

    private final LeafService leaves;

    /** States shown lately, forgotten when memory runs short: what was worked out for one request serves the next. */
    private final Map<UUID, ReviewState> states = new ConcurrentReferenceHashMap<>();

    ReviewService(LeafService leaves) {
        this.leaves = leaves;
    }

    ReviewPage page(At at) {
        return new ReviewPage(state(leaves.open(at.owner(), at.leaf())), "", List.of());
    }

    ReviewState state(At at) {
        return state(leaves.open(at.owner(), at.leaf()));
    }

    private ReviewState state(OpenLeaf leaf) {
        ReviewState known = states.get(leaf.id());
        if (known == null || known.leaf() != leaf) {
            known = ReviewState.of(leaf, Optional.ofNullable(known));
            states.put(leaf.id(), known);
        }
        return known;
    }

    /** What the browser shows now. */
    private ReviewState shown(At at) {
        return state(leaves.openAt(at.owner(), at.leaf(), at.seen()));
    }

    /** Decides and tells what changed. */
    Reviewed decide(At at, Decision decision) {
        return decide(at, decision, capital(decision.inWords()) + ".");
    }

    Reviewed decide(At at, Decision decision, String notice) {
        ReviewState before = shown(at);
        return reviewed(before, leaves.decide(at.owner(), at.leaf(), decision), notice, Set.of());
    }

    /** Nothing is decided; what others did meanwhile is shown. */
    Reviewed say(At at, String notice) {
        return reviewed(shown(at), leaves.open(at.owner(), at.leaf()), notice, Set.of());
    }

    private Reviewed reviewed(ReviewState before, OpenLeaf after, String notice, Set<String> anyway) {
        ReviewState now = state(after);
        return new Reviewed(new ReviewPage(now, notice, List.of()), ReviewChanges.between(before, now, anyway));
    }

    /** What others decided since the browser's state; empty where nobody did. */
    Optional<Reviewed> news(At at) {
        OpenLeaf now = leaves.open(at.owner(), at.leaf());
        if (at.seen() < 0 || at.seen() >= now.decisionCount()) {
            return Optional.empty();
        }
        MadeDecision last = leaves.history(at.owner(), at.leaf()).get(0);
        return Optional.of(
                say(at, last.author() + ", elsewhere: " + last.decision().inWords() + "."));
    }

    /** Adds a question by hand; its id is named after the decision that made it. */
    Reviewed add(At at, String after, QuestionType type) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        return decide(at, new Decision.Add("n" + (open.decisionCount() + 1), after, type));
    }

    Reviewed copy(At at, String question) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        return decide(at, new Decision.Duplicate(question, "n" + (open.decisionCount() + 1)));
    }

    /** Sets all keys of a typed line at once, and tells how many it set. */
    Reviewed keys(At at, String line) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        List<Decision> decisions = KeyLine.decisions(line, open.tidied().quiz());
        if (decisions.isEmpty()) {
            return say(at, "No key was set: write a letter for each question, or 1b 2d.");
        }
        String set = decisions.size() == 1 ? "1 key set." : decisions.size() + " keys set.";
        return decide(at, new Decision.Several(decisions), set);
    }

    /** Pins lines, and tells which others were understood differently because of it. */
    Reviewed pin(At at, List<Integer> lines, Role role, boolean more) {
        Tidied before = leaves.open(at.owner(), at.leaf()).tidied();
        List<Integer> known = lines.stream()
                .filter(line -> line >= 1 && line <= before.reading().ledger().size())
                .toList();
        return pinned(at, new Decision.PinLines(known, role, more), known);
    }

    /** The same for words within a line; what is no part of the line pins nothing. */
    Reviewed pinWords(At at, int line, int from, int to, Role role) {
        boolean within = words(at, line).stream().anyMatch(word -> word.from() == from)
                && words(at, line).stream().anyMatch(word -> word.to() == to)
                && from < to;
        return within
                ? pinned(at, new Decision.PinWords(new Segment(line, from, to), role), List.of(line))
                : say(at, "");
    }

    private Reviewed pinned(At at, Decision pin, List<Integer> own) {
        Tidied before = leaves.open(at.owner(), at.leaf()).tidied();
        Reviewed reviewed = decide(at, pin);
        ReviewState state = reviewed.page().state();
        List<SheetLine> others = othersChanged(before, state.leaf().tidied(), own).stream()
                .map(line -> state.lines().get(line - 1))
                .toList();
        return new Reviewed(new ReviewPage(state, reviewed.page().notice(), others), reviewed.changes());
    }

    /** The words of a line with their places in it; none where there is no such line. */
    List<Word> words(At at, int line) {
        Source source = leaves.open(at.owner(), at.leaf()).source();
        if (line < 1 || line > source.lines().size()) {
            return List.of();
        }
        return WORD.matcher(source.line(line).text())
                .results()
                .map(word -> new Word(word.group(), word.start(), word.end()))
                .toList();
    }

    /** Part of a line, in UTF-16 code units of its text. */
    record Word(String text, int from, int to) {}

    private static List<Integer> othersChanged(Tidied before, Tidied after, List<Integer> pinned) {
        List<Integer> changed = new ArrayList<>();
        for (int i = 0; i < before.reading().ledger().size(); i++) {
            Entry old = before.reading().ledger().get(i);
            Entry now = after.reading().ledger().get(i);
            boolean differs = old.role() != now.role() || old.more() != now.more();
            if (differs && !pinned.contains(old.line())) {
                changed.add(old.line());
            }
        }
        return changed;
    }

    /** Makes the option right, or no longer right; where only one can be, it takes the place of the other. */
    Reviewed toggleKey(At at, String question, int option) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        Optional<Question> found = open.tidied().question(question);
        if (found.isEmpty()
                || !(found.get() instanceof ChoiceQuestion choice)
                || option >= choice.options().size()) {
            return say(at, "");
        }
        Set<Integer> key = choice.takesSeveral() ? new HashSet<>(choice.key()) : new HashSet<>();
        boolean wasRight = choice.key().contains(option);
        if (wasRight) {
            key.remove(option);
        } else {
            key.add(option);
        }
        return decide(at, new Decision.SetKey(question, key), "");
    }

    /** What a form changed; its card is sent in any case, for the form stands in its place. */
    Reviewed edit(At at, String question, CardForm form) {
        ReviewState before = shown(at);
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        Optional<Decision> changes = open.tidied().question(question).flatMap(form::changes);
        OpenLeaf after = changes.isPresent() ? leaves.decide(at.owner(), at.leaf(), changes.get()) : open;
        return reviewed(before, after, "", Set.of(question));
    }

    /** Whether somebody changed the question since the form was opened. */
    boolean isOutdated(At at, String question, int opened) {
        Optional<Question> then =
                leaves.openAt(at.owner(), at.leaf(), opened).tidied().question(question);
        return !then.equals(leaves.open(at.owner(), at.leaf()).tidied().question(question));
    }

    Optional<QuestionCard> card(At at, String question) {
        return state(at).cards().stream()
                .filter(card -> card.id().equals(question))
                .findFirst();
    }

    /** The parts of a question that are typed apart from its stem. */
    List<Parts.Side> sides(At at, String question) {
        return leaves.open(at.owner(), at.leaf())
                .tidied()
                .question(question)
                .map(Parts::of)
                .orElse(List.of());
    }

    Reviewed points(At at, String question, BigDecimal points) {
        boolean same = leaves.open(at.owner(), at.leaf())
                .tidied()
                .question(question)
                .filter(q -> Marker.most(q).compareTo(points) == 0)
                .isPresent();
        return same ? say(at, "") : decide(at, new Decision.SetPoints(question, points), "");
    }

    /** The same for many questions at once; those that are gone are left out. */
    Reviewed many(At at, ManyChange change, List<String> ids, String value) {
        List<Question> questions = leaves.open(at.owner(), at.leaf()).tidied().quiz().questions().stream()
                .filter(question -> ids.contains(question.id()))
                .toList();
        List<Decision> decisions = change.decisions(questions, value);
        if (decisions.isEmpty()) {
            return say(
                    at,
                    "Nothing was changed: \u201c" + value + "\u201d does not fit \u201c" + change.words() + "\u201d.");
        }
        String count = questions.size() == 1 ? "1 question" : questions.size() + " questions";
        String notice =
                change == ManyChange.DELETE ? count + " deleted." : capital(change.words()) + ": " + count + ".";
        return decide(at, new Decision.Several(decisions), notice);
    }

    /** Empty where the title is that already: leaving its field after Enter must not wipe what Enter was answered. */
    Optional<Reviewed> rename(At at, String title) {
        OpenLeaf open = leaves.open(at.owner(), at.leaf());
        boolean same = title.isEmpty() || open.tidied().quiz().title().equals(title);
        return same ? Optional.empty() : Optional.of(decide(at, new Decision.Rename(title)));
    }

    static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
