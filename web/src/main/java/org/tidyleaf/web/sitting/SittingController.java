package org.tidyleaf.web.sitting;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.publish.EditionService;

/** Giving a leaf out, and the results that come back. */
@Controller
class SittingController {
    private final SittingService sittings;
    private final EditionService editions;
    private final LeafService leaves;

    SittingController(SittingService sittings, EditionService editions, LeafService leaves) {
        this.sittings = sittings;
        this.editions = editions;
        this.leaves = leaves;
    }

    @GetMapping("/leaf/{id}/publish")
    String publish(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        OpenLeaf leaf = leaves.open(teacher.id(), id);
        model.addAttribute("publish", PublishPage.of(leaf, editions.lastNumber(id)));
        return "sitting/publish";
    }

    @PostMapping("/leaf/{id}/publish")
    String open(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        return sittings.publishAndOpen(teacher.id(), id)
                .map(sitting -> "redirect:/sitting/" + sitting)
                .orElse("redirect:/leaf/" + id + "/publish");
    }

    @GetMapping("/sittings")
    String sittings(@AuthenticationPrincipal Teacher teacher, Model model) {
        model.addAttribute("sittings", sittings.list(teacher.id()));
        return "sitting/sittings";
    }

    @GetMapping("/sitting/{id}")
    String results(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, HttpServletRequest request, Model model) {
        SittingSummary sitting = sittings.summary(teacher.id(), id);
        model.addAttribute("sitting", sitting);
        model.addAttribute("table", sittings.results(teacher.id(), id));
        model.addAttribute(
                "link",
                ServletUriComponentsBuilder.fromContextPath(request)
                        .path("/s/" + sitting.code())
                        .toUriString());
        return "sitting/results";
    }

    @GetMapping("/sitting/{id}/results.csv")
    ResponseEntity<String> csv(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        ContentDisposition file =
                ContentDisposition.attachment().filename("results.csv").build();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(ResultCsv.write(sittings.results(teacher.id(), id)));
    }

    @PostMapping("/sitting/{id}/close")
    String close(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        sittings.close(teacher.id(), id);
        return "redirect:/sitting/" + id;
    }
}
