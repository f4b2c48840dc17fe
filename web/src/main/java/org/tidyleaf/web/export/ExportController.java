package org.tidyleaf.web.export;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.tidyleaf.exchange.PlainTest;
import org.tidyleaf.exchange.PrintedTest;
import org.tidyleaf.exchange.QtiPackage;
import org.tidyleaf.exchange.Sheet;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;

/** The test in other formats, as it stands in the review; each is written while it is sent. */
@Controller
@RequestMapping("/leaf/{id}/export")
class ExportController {

    private static final String WORD = "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

    private final LeafService leaves;

    ExportController(LeafService leaves) {
        this.leaves = leaves;
    }

    @GetMapping
    String choose(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        OpenLeaf leaf = leaves.open(teacher.id(), id);
        Quiz quiz = leaf.tidied().quiz();
        List<String> unkeyed = quiz.questions().stream()
                .filter(question -> !question.isKeyed())
                .map(ExportController::number)
                .toList();
        model.addAttribute("id", id);
        model.addAttribute("title", quiz.title());
        model.addAttribute("questions", quiz.questions().size());
        model.addAttribute("unkeyed", unkeyed);
        return "export/export";
    }

    private static String number(Question question) {
        String printed = question.particulars().number();
        return printed.isEmpty() ? question.particulars().stem().plain() : printed;
    }

    @GetMapping("/qti3")
    ResponseEntity<StreamingResponseBody> qti(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        Quiz quiz = quiz(teacher, id);
        return file(quiz, ".qti3.zip", MediaType.valueOf("application/zip"))
                .body(out -> QtiPackage.write(quiz, figure -> leaves.figure(id, figure), out));
    }

    /** @param key whether the right answers stand in it */
    @GetMapping("/print/{key}")
    ResponseEntity<StreamingResponseBody> printed(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable boolean key) {
        Quiz quiz = quiz(teacher, id);
        return file(quiz, key ? " with key.docx" : ".docx", MediaType.valueOf(WORD))
                .body(out -> PrintedTest.write(quiz, key, figure -> leaves.figure(id, figure), out));
    }

    @GetMapping("/text")
    ResponseEntity<StreamingResponseBody> text(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        Quiz quiz = quiz(teacher, id);
        return file(quiz, ".txt", new MediaType("text", "plain", StandardCharsets.UTF_8))
                .body(out -> out.write(PlainTest.write(quiz, true).getBytes(StandardCharsets.UTF_8)));
    }

    @GetMapping("/csv")
    ResponseEntity<StreamingResponseBody> sheet(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        Quiz quiz = quiz(teacher, id);
        return file(quiz, ".csv", new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(out -> out.write(("\uFEFF" + Sheet.write(quiz)).getBytes(StandardCharsets.UTF_8)));
    }

    @GetMapping("/json")
    ResponseEntity<StreamingResponseBody> json(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        Quiz quiz = quiz(teacher, id);
        return file(quiz, ".json", MediaType.APPLICATION_JSON)
                .body(out -> out.write(StoredJson.write(quiz).getBytes(StandardCharsets.UTF_8)));
    }

    private Quiz quiz(Teacher teacher, UUID id) {
        return leaves.open(teacher.id(), id).tidied().quiz();
    }

    /** The title as a file name that is safe everywhere. */
    private static ResponseEntity.BodyBuilder file(Quiz quiz, String ending, MediaType type) {
        String safe = quiz.title().replaceAll("[^\\p{L}\\p{N} _-]+", "").strip();
        String name = (safe.isEmpty() ? "test" : safe.substring(0, Math.min(80, safe.length()))) + ending;
        ContentDisposition disposition = ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok().contentType(type).header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString());
    }
}
