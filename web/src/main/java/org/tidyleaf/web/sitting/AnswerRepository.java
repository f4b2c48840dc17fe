package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AnswerRepository extends JpaRepository<AnswerEntity, Long> {
    List<AnswerEntity> findByScriptIdOrderById(UUID scriptId);

    @Query("select a from AnswerEntity a where a.scriptId in"
            + " (select s.id from ScriptEntity s where s.sittingId = :sittingId) order by a.id")
    List<AnswerEntity> ofSitting(UUID sittingId);
}
