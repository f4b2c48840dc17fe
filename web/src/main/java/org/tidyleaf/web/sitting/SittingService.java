package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.Responses;
import org.tidyleaf.web.publish.Edition;
import org.tidyleaf.web.publish.EditionService;

/** Sittings as their teacher sees them: giving out, watching, marking, releasing. */
@Service
public class SittingService {

    /** Without letters and digits that are read for one another. */
    private static final String CODE_SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int CODE_LENGTH = 7;

    /** More is a new sitting. */
    private static final int MOST_EXTRA_MINUTES = 24 * 60;

    private final SittingRepository sittings;
    private final ScriptRepository scripts;
    private final AnswerRepository answers;
    private final HandMarkRepository handMarks;
    private final CandidateRepository candidates;
    private final ScriptEventRepository events;
    private final RegradeRepository regrades;
    private final MarkedEdition keys;
    private final LeafService leaves;
    private final EditionService editions;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    SittingService(
            SittingRepository sittings,
            ScriptRepository scripts,
            AnswerRepository answers,
            HandMarkRepository handMarks,
            CandidateRepository candidates,
            ScriptEventRepository events,
            RegradeRepository regrades,
            MarkedEdition keys,
            LeafService leaves,
            EditionService editions,
            Clock clock) {
        this.sittings = sittings;
        this.scripts = scripts;
        this.answers = answers;
        this.handMarks = handMarks;
        this.candidates = candidates;
        this.events = events;
        this.regrades = regrades;
        this.keys = keys;
        this.leaves = leaves;
        this.editions = editions;
        this.clock = clock;
    }

    /** Publishes the leaf and opens a sitting of that edition by link; empty while something blocks it. */
    @Transactional
    public Optional<UUID> publishAndOpen(UUID owner, UUID leaf) {
        return publishAndOpen(owner, leaf, Rules.USUAL, List.of());
    }

    /** @param people whom the sitting is for; empty where everybody may sit who has the link */
    @Transactional
    Optional<UUID> publishAndOpen(UUID owner, UUID leaf, Rules rules, List<ClassList.Person> people) {
        return editions.publish(owner, leaf).map(edition -> {
            SittingEntity sitting =
                    sittings.save(new SittingEntity(edition.id(), owner, code(), rules, clock.instant()));
            for (int place = 0; place < people.size(); place++) {
                candidates.save(new CandidateEntity(sitting.id, place, people.get(place), code()));
            }
            return sitting.id;
        });
    }

    /** The people on the sitting's list with their codes; empty where there is none. */
    @Transactional(readOnly = true)
    List<Listed> people(UUID owner, UUID id) {
        return candidates.findBySittingIdOrderByPlace(own(owner, id).id).stream()
                .map(person -> new Listed(person.name, person.number, person.mail, person.code, person.extraMinutes))
                .toList();
    }

    /** A person on a sitting's list, with the code to begin with and the minutes they have more than others. */
    record Listed(String name, String number, String mail, String code, int extra) {}

    @Transactional(readOnly = true)
    Rules rules(UUID owner, UUID id) {
        return own(owner, id).rules();
    }

    @Transactional(readOnly = true)
    boolean isReleased(UUID owner, UUID id) {
        return own(owner, id).releasedAt != null;
    }

    /** Lets candidates see what the rules keep back until now. */
    @Transactional
    void release(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        if (sitting.releasedAt == null) {
            sitting.releasedAt = clock.instant();
        }
    }

    /** Who has begun, where they are and how long they have, right now. */
    @Transactional(readOnly = true)
    WatchPage watch(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        Quiz quiz = editions.get(sitting.editionId).quiz();
        return WatchPage.of(
                sitting.rules(),
                quiz,
                scripts.findBySittingIdOrderByBegunAt(id),
                answers.ofSitting(id),
                events.ofSitting(id),
                candidates.findBySittingIdOrderByPlace(id),
                clock.instant());
    }

    /** Gives a script more minutes. */
    @Transactional
    void extend(UUID owner, UUID id, UUID script, int minutes) {
        ScriptEntity known = known(owner, id, script);
        int within = Math.max(1, Math.min(minutes, MOST_EXTRA_MINUTES));
        events.save(
                new ScriptEventEntity(known.id, ScriptEventEntity.Kind.EXTENDED, within, "", owner, clock.instant()));
    }

    /** Lets a candidate go on who had handed in; what they had given stays. */
    @Transactional
    void reopen(UUID owner, UUID id, UUID script) {
        ScriptEntity known = scripts.lock(known(owner, id, script).id).orElseThrow();
        if (known.handedInAt != null) {
            String before = "handed in at " + known.handedInAt;
            events.save(new ScriptEventEntity(
                    known.id, ScriptEventEntity.Kind.REOPENED, 0, before, owner, clock.instant()));
            known.handedInAt = null;
        }
    }

    private ScriptEntity known(UUID owner, UUID id, UUID script) {
        SittingEntity sitting = own(owner, id);
        return scripts.findById(script)
                .filter(found -> found.sittingId.equals(sitting.id))
                .orElseThrow(() -> new NoSuchSittingException(id.toString()));
    }

    private String code() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) {
            code.append(CODE_SIGNS.charAt(random.nextInt(CODE_SIGNS.length())));
        }
        return code.toString();
    }

    @Transactional(readOnly = true)
    public List<SittingSummary> list(UUID owner) {
        return sittings.findByOwnerIdOrderByOpenedAtDesc(owner).stream()
                .map(this::summary)
                .toList();
    }

    private SittingSummary summary(SittingEntity sitting) {
        Edition edition = editions.get(sitting.editionId);
        ResultTable table = table(sitting, keys.quiz(sitting.id, edition.quiz()));
        int handedIn =
                (int) table.rows().stream().filter(ResultTable.Row::handedIn).count();
        String mean = table.mean().isEmpty() ? "" : table.mean() + " of " + table.mostInAll();
        return new SittingSummary(
                sitting.id,
                edition.quiz().title(),
                edition.number(),
                sitting.code,
                !sitting.isClosed(clock.instant()),
                table.rows().size(),
                handedIn,
                mean,
                table.toMark());
    }

    @Transactional(readOnly = true)
    public SittingSummary summary(UUID owner, UUID id) {
        return summary(own(owner, id));
    }

    @Transactional(readOnly = true)
    ResultTable results(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        return table(
                sitting, keys.quiz(sitting.id, editions.get(sitting.editionId).quiz()));
    }

    private SittingEntity own(UUID owner, UUID id) {
        return sittings.findByIdAndOwnerId(id, owner).orElseThrow(() -> new NoSuchSittingException(id.toString()));
    }

    private ResultTable table(SittingEntity sitting, Quiz quiz) {
        return ResultTable.of(
                quiz, sitting.rules().marking(), Attempts.counting(quiz, sitting.rules(), answers(sitting)));
    }

    private List<ResultTable.Answers> answers(SittingEntity sitting) {
        Map<UUID, Map<String, HandMark>> given = new HashMap<>();
        for (HandMarkEntity mark : handMarks.ofSitting(sitting.id)) {
            given.computeIfAbsent(mark.scriptId, id -> new HashMap<>()).put(mark.questionId, mark.mark());
        }
        List<ScriptEventEntity> events = this.events.ofSitting(sitting.id);
        Map<UUID, Map<String, Response>> latest = new HashMap<>();
        for (AnswerEntity answer : answers.ofSitting(sitting.id)) {
            latest.computeIfAbsent(answer.scriptId, id -> new HashMap<>()).put(answer.questionId, response(answer));
        }
        List<ResultTable.Answers> all = new ArrayList<>();
        for (ScriptEntity script : scripts.findBySittingIdOrderByBegunAt(sitting.id)) {
            Responses responses = new Responses(latest.getOrDefault(script.id, Map.of()));
            // Whose time is over has handed in what they had.
            boolean handedIn = script.handedInAt != null || isOver(sitting, script, given(script, events));
            Map<String, HandMark> marks = given.getOrDefault(script.id, Map.of());
            all.add(new ResultTable.Answers(script.id, script.personId, script.candidate, handedIn, responses, marks));
        }
        return all;
    }

    private static List<ScriptEventEntity> given(ScriptEntity script, List<ScriptEventEntity> events) {
        return events.stream().filter(event -> event.scriptId.equals(script.id)).toList();
    }

    private boolean isOver(SittingEntity sitting, ScriptEntity script, List<ScriptEventEntity> events) {
        int extra = Optional.ofNullable(script.candidateId)
                .flatMap(candidates::findById)
                .map(person -> person.extraMinutes)
                .orElse(0);
        return Deadline.of(sitting.rules(), script.begunAt, extra, events)
                .filter(clock.instant()::isAfter)
                .isPresent();
    }

    /** The numbers of the questions that the leaf as it is now would mark otherwise. */
    @Transactional(readOnly = true)
    List<String> corrected(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        Edition edition = editions.get(sitting.editionId);
        Quiz sat = keys.quiz(sitting.id, edition.quiz());
        return Correction.of(sat, leaves.open(owner, edition.leaf()).tidied().quiz())
                .changes();
    }

    /** What was regraded so far, the latest first, in words. */
    @Transactional(readOnly = true)
    List<String> regraded(UUID owner, UUID id) {
        List<String> words = new ArrayList<>(regrades.findBySittingIdOrderById(own(owner, id).id).stream()
                .map(done -> done.changes)
                .toList());
        java.util.Collections.reverse(words);
        return words;
    }

    /** Marks all scripts by the leaf as it is now, which becomes an edition; says what that changed. Nothing where it changes none. */
    @Transactional
    void regrade(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        Edition edition = editions.get(sitting.editionId);
        List<String> changes = corrected(owner, id);
        Optional<Edition> now = changes.isEmpty() ? Optional.empty() : editions.publish(owner, edition.leaf());
        if (now.isEmpty()) {
            return;
        }
        ResultTable before = table(sitting, keys.quiz(sitting.id, edition.quiz()));
        ResultTable after =
                table(sitting, Correction.of(edition.quiz(), now.get().quiz()).quiz());
        String words = "Marked by edition " + now.get().number() + " since then: "
                + (changes.size() == 1 ? "question " : "questions ") + String.join(", ", changes) + ". "
                + RegradeWords.of(before, after);
        regrades.save(new RegradeEntity(id, now.get().id(), words, owner, clock.instant()));
    }

    /** A sitting with all its scripts, for a person to mark. */
    @Transactional(readOnly = true)
    Marking marking(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        Edition edition = editions.get(sitting.editionId);
        return new Marking(
                id,
                edition.leaf(),
                keys.quiz(sitting.id, edition.quiz()),
                sitting.rules().marking(),
                answers(sitting));
    }

    /** Gives points by hand; they stand above those worked out. Points outside of what can be earned are brought inside. */
    @Transactional
    void give(UUID owner, UUID id, UUID script, String question, HandMark mark) {
        SittingEntity sitting = own(owner, id);
        known(owner, id, script);
        Optional<Question> asked = editions.get(sitting.editionId).quiz().questions().stream()
                .filter(one -> one.id().equals(question))
                .findFirst();
        if (asked.isEmpty()) {
            throw new NoSuchSittingException(id.toString());
        }
        BigDecimal points = mark.points().max(BigDecimal.ZERO).min(Marker.most(asked.get()));
        HandMark within = new HandMark(points, mark.note());
        handMarks.save(new HandMarkEntity(script, question, within, owner, clock.instant()));
    }

    /** Takes no more answers. */
    @Transactional
    public void close(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        if (sitting.closedAt == null) {
            sitting.closedAt = clock.instant();
        }
    }

    private static Response response(AnswerEntity answer) {
        return StoredJson.read(answer.response, Response.class);
    }
}
