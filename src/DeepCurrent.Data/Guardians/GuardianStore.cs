using Dapper;
using DeepCurrent.Core.Conferences;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Guardians;

/// <summary>How a reader's guardians stand: who has registered, and the code in the letter.</summary>
public sealed record GuardianRow(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string? GuardianMail,
    IReadOnlyList<GuardianName> Guardians,
    DateTimeOffset? CodeUntil,
    bool CodeUsed,
    bool CodeTakenBack
);

/// <summary>A guardian who has registered.</summary>
/// <param name="Confirmed">Whether their email address is confirmed.</param>
public sealed record GuardianName(string Name, bool Confirmed);

/// <summary>An open code.</summary>
/// <param name="Secret">The code, enciphered, so that the letter can be printed again.</param>
public sealed record GuardianCode(
    Guid Id,
    SchoolId SchoolId,
    ReaderId ReaderId,
    string Secret,
    DateTimeOffset ExpiresAt
);

/// <summary>A child as a guardian may see them.</summary>
/// <param name="SixWeeks">Change of the estimate in six weeks, fm; null where there is no earlier one.</param>
public sealed record Child(ReaderId Id, string GivenName, int Grade, Fathoms Depth, double? SixWeeks);

/// <summary>A reading as a guardian may see it.</summary>
/// <param name="Right">Questions right at the first try, of those that were asked; 0 of 0 until it is released.</param>
public sealed record ChildReading(
    string Title,
    DateTimeOffset? HandedInAt,
    DateOnly? DueOn,
    int Right,
    int Asked,
    double Minutes
);

/// <summary>Guardians, their codes, and what they may see: their own children and nobody else's.</summary>
public sealed class GuardianStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<GuardianRow>> Of(ClassId classId)
    {
        return await db.All<GuardianRow>(
            """
            select r.id as reader_id, r.given_name, r.family_name, r.guardian_mail,
                   coalesce(
                     (
                       select jsonb_agg(
                         jsonb_build_object('name', a.name, 'confirmed', a.confirmed_at is not null)
                         order by a.name, a.id)
                       from guardianship g join adult a on a.id = g.adult_id
                       where g.reader_id = r.id and g.ended_at is null),
                     '[]')::text as guardians,
                   k.expires_at as code_until, coalesce(k.used_at is not null, false) as code_used,
                   coalesce(k.taken_back_at is not null, false) as code_taken_back
            from enrolment e join reader r on r.id = e.reader_id
            left join lateral (
              select * from guardian_code k where k.reader_id = r.id order by k.made_at desc limit 1) k on true
            where e.class_id = @classId and e.to_day is null and not r.left_school
            order by r.given_name, r.family_name, r.id
            limit 2000
            """,
            new { classId }
        );
    }

    /// <summary>The codes of some readers that can be used now.</summary>
    public async Task<IReadOnlyList<GuardianCode>> Open(IReadOnlyCollection<ReaderId> readerIds, DateTimeOffset now)
    {
        return await db.All<GuardianCode>(
            """
            select distinct on (reader_id) id, school_id, reader_id, secret, expires_at from guardian_code
            where reader_id = any(@ids) and taken_back_at is null and expires_at > @now
            order by reader_id, made_at desc
            """,
            new { ids = readerIds.ToArray(), now }
        );
    }

    public async Task Add(IReadOnlyList<(GuardianCode Code, string Hash)> codes, DateTimeOffset now)
    {
        await db.Run(
            """
            insert into guardian_code (id, school_id, reader_id, hash, secret, made_at, expires_at)
            values (@Id, @SchoolId, @ReaderId, @Hash, @Secret, @now, @ExpiresAt)
            """,
            codes.Select(x => new
            {
                x.Code.Id,
                x.Code.SchoolId,
                x.Code.ReaderId,
                x.Hash,
                x.Code.Secret,
                now,
                x.Code.ExpiresAt,
            })
        );
    }

    public async Task<GuardianCode?> ByHash(string hash, DateTimeOffset now)
    {
        return await db.One<GuardianCode>(
            """
            select k.id, k.school_id, k.reader_id, k.secret, k.expires_at
            from guardian_code k join school s on s.id = k.school_id join reader r on r.id = k.reader_id
            where k.hash = @hash
              and k.taken_back_at is null
              and k.expires_at > @now
              and s.guardians_allowed
              and r.merged_into is null
            """,
            new { hash, now }
        );
    }

    /// <summary>Makes somebody the guardian of the reader the code is for.</summary>
    public async Task Link(AdultId adultId, GuardianCode code, DateTimeOffset now)
    {
        await db.Run(
            """
            insert into guardianship (adult_id, reader_id, since)
            values (@adultId, @ReaderId, @now)
            on conflict (adult_id, reader_id) do update
            set ended_at = null;
            update guardian_code set used_at = coalesce(used_at, @now) where id = @Id
            """,
            new
            {
                adultId,
                code.ReaderId,
                code.Id,
                now,
            }
        );
    }

    /// <summary>Takes back the code of a reader and ends the guardianships there are.</summary>
    public async Task TakeBack(ReaderId readerId, bool guardiansToo, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            "update guardian_code set taken_back_at = @now where reader_id = @readerId and taken_back_at is null",
            new { readerId, now }
        );
        if (guardiansToo)
            await c.ExecuteAsync(
                "update guardianship set ended_at = @now where reader_id = @readerId and ended_at is null",
                new { readerId, now }
            );
    }

    /// <summary>The home language of a guardian's children: of the first, by name, who has one; empty for none.</summary>
    public async Task<string> HomeLanguage(AdultId adultId)
    {
        return await db.First<string>(
            $"""
            select r.details ->> '{nameof(ReaderDetail.HomeLanguage)}'
            from guardianship g join reader r on r.id = g.reader_id
            where g.adult_id = @adultId
              and g.ended_at is null
              and r.details ->> '{nameof(ReaderDetail.HomeLanguage)}' <> ''
            order by r.given_name, r.family_name, r.id
            limit 1
            """,
            new { adultId }
        ) ?? "";
    }

    public async Task<IReadOnlyList<Child>> Children(AdultId adultId, SchoolId schoolId, Moment at)
    {
        return await db.All<Child>(
            """
            select r.id, r.given_name, r.grade, r.depth_mean as depth,
                   coalesce(r.estimate_mean, r.depth_mean) - (
                     select d.mean
                     from depth_day d
                     where d.reader_id = r.id and d.day <= @Today - 42
                     order by d.day desc
                     limit 1) as six_weeks
            from guardianship g join reader r on r.id = g.reader_id join school s on s.id = r.school_id
            where g.adult_id = @adultId
              and g.ended_at is null
              and r.school_id = @schoolId
              and s.guardians_allowed
              and r.merged_into is null
            order by r.given_name, r.family_name, r.id
            limit 20
            """,
            new
            {
                adultId,
                schoolId,
                at.Today,
            }
        );
    }

    private static readonly string ReadingSql = $"""
        select {TaskSql.Title} as title, k.handed_in_at, coalesce(k.due_on, a.due_on) as due_on,
          coalesce(n.right, 0) as "right", coalesce(n.asked, 0) as asked, k.active_seconds / 60 as minutes
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          left join text t on t.id = y.text_id
          left join lateral (
            select count(*)::int as asked, (count(*) filter (where w.correct))::int as "right"
            from answer w join question q on q.id = w.question_id
            where w.ticket_id = k.id
              and w.round = 1
              and w.attempt = 1
              and q.place is null
              and k.state = {TicketStates.Released}) n on true
        where k.reader_id = @readerId and k.state in ({TicketStates.Seen})
        """;

    /// <summary>What is due and what is finished, the latest first.</summary>
    public Task<IReadOnlyList<ChildReading>> Readings(ReaderId readerId) =>
        db.All<ChildReading>(
            $"""
            {ReadingSql}
            order by coalesce(k.handed_in_at, a.assigned_at) desc
            limit 30
            """,
            new { readerId }
        );

    /// <summary>What was finished from one instant until before another, in the order it was.</summary>
    public Task<IReadOnlyList<ChildReading>> Finished(ReaderId readerId, DateTimeOffset from, DateTimeOffset until) =>
        db.All<ChildReading>(
            $"""
            {ReadingSql}
              and k.handed_in_at >= @from
              and k.handed_in_at < @until
            order by k.handed_in_at
            limit 100
            """,
            new
            {
                readerId,
                from,
                until,
            }
        );

    /// <summary>First tries by strand since an instant, of results that the child has seen.</summary>
    public async Task<IReadOnlyList<MasteryOf>> Strands(ReaderId readerId, DateTimeOffset since) =>
        [
            .. (
                await db.All<(Strand Strand, int Right, int Asked)>(
                    $"""
                    select q.strand, (count(*) filter (where w.correct))::int, count(*)::int
                    from ticket k
                      join answer w on w.ticket_id = k.id and w.round = 1 and w.attempt = 1 and not w.too_fast
                      join question q on q.id = w.question_id and q.place is null and not q.retired
                    where k.reader_id = @readerId
                      and k.state = {TicketStates.Released}
                      and k.handed_in_at >= @since
                      and w.correct is not null
                      and not exists ({CorrectionStore.TakenOut})
                    group by q.strand
                    """,
                    new { readerId, since }
                )
            ).Select(s => new MasteryOf(s.Strand, s.Right, s.Asked)),
        ];
}
