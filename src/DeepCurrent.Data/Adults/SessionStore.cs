using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Adults;

/// <summary>What a session that stands says of its owner now.</summary>
public sealed record OpenSession(bool Lead, Post Post, DateTimeOffset SeenAt);

/// <summary>One place somebody is signed in.</summary>
/// <param name="Device">The browser and the system, in words.</param>
public sealed record SessionRow(Guid Id, string Device, DateTimeOffset MadeAt, DateTimeOffset SeenAt);

/// <summary>Something that happened at the door.</summary>
/// <param name="Who">Whose account; a class where it is about one.</param>
public sealed record SignInEventRow(DateTimeOffset At, SignInEvent Kind, string Who, string Device);

/// <summary>Whom something at the door is about; at most one of them.</summary>
public sealed record DoorSubject(
    SchoolId SchoolId,
    AdultId? AdultId = null,
    ReaderId? ReaderId = null,
    ClassId? ClassId = null
)
{
    /// <summary>The person where there is one, else the class.</summary>
    public DoorSubject Person => AdultId is null && ReaderId is null ? this : this with { ClassId = null };
}

/// <summary>Sessions, kept on the server so that they end there; and what happens at the door.</summary>
public sealed class SessionStore
{
    /// <summary>The channel on which the ends of adults' sessions are told; the payload is whose.</summary>
    public const string Channel = "session";

    private const int Most = 200,
        Lookers = 2;

    private readonly NpgsqlDataSource db;
    private readonly Together<Guid, Standing?> together;

    public SessionStore(NpgsqlDataSource db)
    {
        this.db = db;
        together = new(Lookers, Most, Standings);
    }

    private sealed record Standing(Guid Id, Guid PersonId, bool Reader, bool Lead, Post Post, DateTimeOffset SeenAt);

    public async Task Begin(Guid id, Guid personId, bool reader, string device, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            """
            insert into session (id, person_id, reader, device, made_at, seen_at)
            values (@id, @personId, @reader, @device, @now, @now)
            """,
            new
            {
                id,
                personId,
                reader,
                device,
                now,
            }
        );
        await AdultStore.SignedIn(c, personId, reader, now);
    }

    /// <summary>A session that stands: neither ended nor idle too long, of somebody who is still there. Null otherwise.
    /// Every request asks; those who ask at once are answered together.</summary>
    /// <param name="idle">Sessions last seen before this are over.</param>
    public async Task<OpenSession?> Find(Guid id, Guid personId, bool reader, DateTimeOffset idle) =>
        await together.Do(id) is { } s && s.PersonId == personId && s.Reader == reader && s.SeenAt > idle
            ? new(s.Lead, s.Post, s.SeenAt)
            : null;

    private async Task<IReadOnlyList<Standing?>> Standings(IReadOnlyList<Guid> ids)
    {
        var standing = (
            await db.All<Standing>(
                $"""
                select s.id, s.person_id, s.reader, coalesce(a.lead, false) as lead,
                  coalesce(a.post, '{nameof(Post.Teacher)}') as post, s.seen_at
                from session s
                  left join reader r on s.reader and r.id = s.person_id
                  left join adult a on not s.reader and a.id = s.person_id
                where s.id = any(@ids) and s.ended_at is null and not coalesce(r.left_school, a.left_school, true)
                """,
                new { ids = ids.ToArray() }
            )
        ).ToDictionary(s => s.Id);
        return [.. ids.Select(standing.GetValueOrDefault)];
    }

    public async Task Seen(Guid id, DateTimeOffset now)
    {
        await db.Run("update session set seen_at = @now where id = @id", new { id, now });
    }

    public async Task<IReadOnlyList<SessionRow>> Of(Guid personId, DateTimeOffset idle)
    {
        return await db.All<SessionRow>(
            """
            select id, device, made_at, seen_at
            from session
            where person_id = @personId and ended_at is null and seen_at > @idle
            order by seen_at desc
            limit 100
            """,
            new { personId, idle }
        );
    }

    /// <summary>Ends one session of somebody.</summary>
    public async Task<bool> End(Guid id, Guid personId, DateTimeOffset now)
    {
        return await db.Value<int>(
                $"""
                with e as (
                  update session
                  set ended_at = @now
                  where id = @id and person_id = @personId and ended_at is null
                  returning person_id, reader)
                {TellEnded}
                """,
                new
                {
                    id,
                    personId,
                    now,
                }
            ) == 1;
    }

    /// <summary>Ends every session of some people.</summary>
    /// <param name="but">One that goes on.</param>
    public async Task EndAll(IReadOnlyCollection<Guid> personIds, DateTimeOffset now, Guid? but = null)
    {
        await using var c = await db.OpenConnectionAsync();
        await EndAll(c, null, personIds, now, but);
    }

    internal static Task EndAll(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        IReadOnlyCollection<Guid> personIds,
        DateTimeOffset now,
        Guid? but = null
    ) =>
        personIds.Count == 0
            ? Task.CompletedTask
            : c.ExecuteAsync(
                $"""
                with e as (
                  update session
                  set ended_at = @now
                  where person_id = any(@ids) and ended_at is null and id is distinct from @but
                  returning person_id, reader)
                {TellEnded}
                """,
                new
                {
                    ids = personIds.ToArray(),
                    now,
                    but,
                },
                t
            );

    // Readers have no live connections; adults' are cut wherever they are.
    private const string TellEnded = $"""
        select count(coalesce(told, ''))::int
        from (select case when not reader then pg_notify('{Channel}', person_id::text)::text end as told from e) x
        """;

    /// <summary>Notes what happened at the door. The same again within a quarter of an hour is noted once, so that
    /// nobody fills the log.</summary>
    public async Task Note(DoorSubject about, SignInEvent kind, string device, DateTimeOffset now)
    {
        await db.Run(
            $"""
            insert into sign_in_event (school_id, at, kind, adult_id, reader_id, class_id, device)
            select @SchoolId, @now, @kind, @AdultId, @ReaderId, @ClassId, @device
            where @kind in ('{nameof(SignInEvent.SignedIn)}', '{nameof(SignInEvent.SignedOut)}') or not exists (
              select 1 from sign_in_event e
              where e.school_id = @SchoolId and e.kind = @kind and e.at > @now - interval '15 minutes'
                and e.adult_id is not distinct from @AdultId
                and e.reader_id is not distinct from @ReaderId
                and e.class_id is not distinct from @ClassId)
            """,
            new
            {
                about.SchoolId,
                about.AdultId,
                about.ReaderId,
                about.ClassId,
                kind = kind.ToString(),
                device,
                now,
            }
        );
    }

    public async Task<IReadOnlyList<SignInEventRow>> Events(SchoolId schoolId)
    {
        return await db.All<SignInEventRow>(
            """
            select e.at, e.kind, coalesce(a.name, trim(r.given_name || ' ' || r.family_name), k.name, '') as who,
              e.device
            from sign_in_event e
              left join adult a on a.id = e.adult_id
              left join reader r on r.id = e.reader_id
              left join class k on k.id = e.class_id
            where e.school_id = @schoolId
            order by e.at desc
            limit 500
            """,
            new { schoolId }
        );
    }

    /// <summary>When somebody was last found guessing secrets of a class, if that was after a time.</summary>
    public async Task<DateTimeOffset?> Guessing(ClassId classId, DateTimeOffset since)
    {
        return
            await db.Value<DateTime?>(
                $"""
                select max(at)
                from sign_in_event
                where class_id = @classId and kind = '{nameof(SignInEvent.Guessing)}' and at > @since
                """,
                new { classId, since }
            )
                is { } at
            ? new DateTimeOffset(DateTime.SpecifyKind(at, DateTimeKind.Utc))
            : null;
    }
}
