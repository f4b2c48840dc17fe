package org.tidyleaf.web.export;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.StarterDocument;

/** The document to write a test in offline. */
@Controller
class StarterController {

    @GetMapping("/starter/{file}")
    ResponseEntity<StreamingResponseBody> starter(@PathVariable String file) {
        Paper paper = switch (file) {
            case "starter.docx" -> Paper.DOCX;
            case "starter.odt" -> Paper.ODT;
            default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        };
        ContentDisposition disposition =
                ContentDisposition.attachment().filename(file).build();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(paper.mediaType()))
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(out -> StarterDocument.write(paper, out));
    }
}
