package org.tidyleaf.web.sitting;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/**
 * A sitting while it runs.
 *
 * @param absent people on the list who have not begun, with their codes
 */
record WatchPage(int questions, List<Row> rows, List<Absent> absent, int writing, int handedIn) {

    /**
     * One script.
     *
     * @param answered how many questions have an answer
     * @param at the number of the question answered last, or empty
     * @param ago how long ago that was, in words
     * @param left the time left in words, or empty where there is no limit
     * @param state "writing", "handed in" or "time is up"
     * @param extra minutes given so far
     */
    record Row(
            UUID script,
            String candidate,
            int answered,
            String at,
            String ago,
            String left,
            String state,
            int extra,
            boolean again) {}

    /** Somebody who has not begun. */
    record Absent(String name, String code) {}

    static WatchPage of(
            Rules rules,
            Quiz quiz,
            List<ScriptEntity> scripts,
            List<AnswerEntity> answers,
            List<ScriptEventEntity> events,
            List<CandidateEntity> people,
            Instant now) {
        Map<UUID, List<AnswerEntity>> given = answers.stream().collect(Collectors.groupingBy(a -> a.scriptId));
        Map<UUID, List<ScriptEventEntity>> done = events.stream().collect(Collectors.groupingBy(e -> e.scriptId));
        Map<UUID, CandidateEntity> listed = new HashMap<>();
        people.forEach(person -> listed.put(person.id, person));
        Map<String, String> numbers = numbers(quiz);
        List<Row> rows = new ArrayList<>();
        Set<UUID> begun = new HashSet<>();
        for (ScriptEntity script : scripts) {
            begun.add(script.personId);
            int extra = Optional.ofNullable(script.candidateId)
                    .map(listed::get)
                    .map(person -> person.extraMinutes)
                    .orElse(0);
            List<ScriptEventEntity> own = done.getOrDefault(script.id, List.of());
            Optional<Instant> deadline = Deadline.of(rules, script.begunAt, extra, own);
            rows.add(row(script, given.getOrDefault(script.id, List.of()), own, deadline, numbers, now));
        }
        List<Absent> absent = people.stream()
                .filter(person -> !begun.contains(person.id))
                .map(person -> new Absent(person.name, person.code))
                .toList();
        int handedIn = (int)
                rows.stream().filter(row -> row.state().equals("handed in")).count();
        int writing =
                (int) rows.stream().filter(row -> row.state().equals("writing")).count();
        return new WatchPage(quiz.questions().size(), rows, absent, writing, handedIn);
    }

    private static Map<String, String> numbers(Quiz quiz) {
        Map<String, String> numbers = new HashMap<>();
        for (int i = 0; i < quiz.questions().size(); i++) {
            Question question = quiz.questions().get(i);
            String printed = question.particulars().number();
            numbers.put(question.id(), printed.isEmpty() ? String.valueOf(i + 1) : printed);
        }
        return numbers;
    }

    private static Row row(
            ScriptEntity script,
            List<AnswerEntity> answers,
            List<ScriptEventEntity> events,
            Optional<Instant> deadline,
            Map<String, String> numbers,
            Instant now) {
        Set<String> answered = answers.stream().map(answer -> answer.questionId).collect(Collectors.toSet());
        Optional<AnswerEntity> last =
                answers.isEmpty() ? Optional.empty() : Optional.of(answers.get(answers.size() - 1));
        boolean over = deadline.filter(now::isAfter).isPresent();
        String state = script.handedInAt != null ? "handed in" : over ? "time is up" : "writing";
        return new Row(
                script.id,
                script.candidate,
                answered.size(),
                last.map(answer -> numbers.getOrDefault(answer.questionId, "")).orElse(""),
                last.map(answer -> ago(Duration.between(answer.givenAt, now))).orElse(""),
                state.equals("writing")
                        ? deadline.map(time -> left(Duration.between(now, time)))
                                .orElse("")
                        : "",
                state,
                events.stream().mapToInt(event -> event.minutes).sum(),
                !script.id.equals(script.personId) && script.candidateId == null);
    }

    private static String ago(Duration time) {
        return time.toMinutes() == 0
                ? "just now"
                : time.toMinutes() < 90 ? time.toMinutes() + " min ago" : time.toHours() + " h ago";
    }

    private static String left(Duration time) {
        return time.toMinutes() < 120 ? time.toMinutes() + " min" : time.toHours() + " h";
    }
}
