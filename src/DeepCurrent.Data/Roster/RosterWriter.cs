using System.IO.Compression;
using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Roster;

/// <summary>Who changes a roster, and how it is listed.</summary>
/// <param name="ClassId">The class whose history lists it; null for a change to the school.</param>
public sealed record RosterChange(
    SchoolId SchoolId,
    ClassId? ClassId,
    AdultId AdultId,
    Message Summary,
    DateTimeOffset At
);

/// <summary>What new readers' depth is made from.</summary>
public sealed record Yardstick(LevelChart Chart, YearCalendar Year);

/// <summary>A roster change that cannot be made or taken back, since something it leans on has changed.</summary>
/// <param name="Sentence">What, and who did it.</param>
public sealed class BuiltOn(Message message) : Exception(message.ToString())
{
    /// <summary>The sentence, to be said in the language of whoever asked.</summary>
    public Message Said { get; } = message;
}

/// <summary>Does changes to rosters, each in one transaction with what is needed to take it back.</summary>
public sealed class RosterWriter(NpgsqlDataSource db)
{
    private static readonly string FromRoster = Database.ToJson<Message>($"Level from the roster");

    private const int MostNamed = 3,
        StepsPerPart = 5_000,
        ManySteps = 1_000;

    private static readonly StepTable<RosterAdult> Adults = new(
        "adult",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("name", NpgsqlDbType.Text),
            ("user_name", NpgsqlDbType.Text),
            ("mail", NpgsqlDbType.Text),
            ("lead", NpgsqlDbType.Boolean),
            ("left_school", NpgsqlDbType.Boolean),
            ("post", NpgsqlDbType.Text),
            ("source", NpgsqlDbType.Text),
        ],
        a => [a.Id, a.SourceId, a.Name, a.UserName, a.Mail, a.Lead, a.Left, a.Post.ToString(), a.Source],
        RosterStore.Adult,
        []
    );

    private static readonly StepTable<RosterClass> Classes = new(
        "class",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("school_year_id", NpgsqlDbType.Uuid),
            ("name", NpgsqlDbType.Text),
            ("code", NpgsqlDbType.Text),
            ("first_day", NpgsqlDbType.Date),
            ("last_day", NpgsqlDbType.Date),
            ("closed", NpgsqlDbType.Boolean),
            ("source", NpgsqlDbType.Text),
            ("grade", NpgsqlDbType.Integer),
        ],
        c => [c.Id, c.SourceId, c.YearId, c.Name, c.Code, c.FirstDay, c.LastDay, c.Closed, c.Source, c.Grade],
        RosterStore.Class,
        []
    );

    private static readonly StepTable<RosterReader> Readers = new(
        "reader",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("given_name", NpgsqlDbType.Text),
            ("family_name", NpgsqlDbType.Text),
            ("user_name", NpgsqlDbType.Text),
            ("grade", NpgsqlDbType.Integer),
            ("details", NpgsqlDbType.Jsonb),
            ("guardian_mail", NpgsqlDbType.Text),
            ("secret_kind", NpgsqlDbType.Text),
            ("secret", NpgsqlDbType.Text),
            ("supports", NpgsqlDbType.Jsonb),
            ("left_school", NpgsqlDbType.Boolean),
            ("source", NpgsqlDbType.Text),
        ],
        r =>
            [
                r.Id,
                r.SourceId,
                r.GivenName,
                r.FamilyName,
                r.UserName,
                r.Grade,
                ReaderDetailsHandler.Write(r.Details),
                r.GuardianMail,
                r.SecretKind.ToString(),
                r.Secret,
                RosterStore.SupportsText(r.Supports),
                r.Left,
                r.Source,
            ],
        RosterStore.Reader,
        []
    );

    private static readonly StepTable<Teaching> Teachings = new(
        "class_adult",
        [
            ("id", NpgsqlDbType.Uuid),
            ("class_id", NpgsqlDbType.Uuid),
            ("adult_id", NpgsqlDbType.Uuid),
            ("role", NpgsqlDbType.Text),
        ],
        t => [t.Id, t.ClassId, t.AdultId, t.Role.ToString()],
        RosterStore.Taught,
        []
    );

    private static readonly StepTable<Enrolment> Enrolments = new(
        "enrolment",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("class_id", NpgsqlDbType.Uuid),
            ("reader_id", NpgsqlDbType.Uuid),
            ("from_day", NpgsqlDbType.Date),
            ("to_day", NpgsqlDbType.Date),
            ("source", NpgsqlDbType.Text),
        ],
        e => [e.Id, e.SourceId, e.ClassId, e.ReaderId, e.From, e.To, e.Source],
        RosterStore.Enrolled,
        []
    );

    private static readonly StepTable<StatedLevel> Levels = new(
        "evidence",
        [
            ("id", NpgsqlDbType.Uuid),
            ("reader_id", NpgsqlDbType.Uuid),
            ("value", NpgsqlDbType.Double),
            ("at", NpgsqlDbType.TimestampTz),
        ],
        l => [l.Id, l.ReaderId, l.Value, l.At.ToUniversalTime()],
        RosterStore.Level,
        [
            ("kind", NpgsqlDbType.Text, _ => nameof(EvidenceKind.Level)),
            ("sd", NpgsqlDbType.Double, _ => ReaderEstimator.StartingLevelSd),
            ("note", NpgsqlDbType.Jsonb, _ => FromRoster),
        ]
    );

    /// <summary>Makes a change and lists it. Nothing is done if anything it changes is not as it was when the change
    /// was made up.</summary>
    /// <returns>The id to take it back by.</returns>
    /// <exception cref="BuiltOn">Somebody has changed the same things meanwhile.</exception>
    public async Task<ChangeId> Apply(
        ChangeSet steps,
        RosterChange change,
        Yardstick yardstick,
        Func<NpgsqlConnection, NpgsqlTransaction, ChangeId, Task>? with = null,
        Action<double>? done = null
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Lock(c, change.SchoolId);
        if (await Moved(c, steps) is { Count: > 0 })
            throw new BuiltOn($"Someone else changed this meanwhile. Nothing was saved. Reload and try again.");
        var id = ChangeId.New();
        try
        {
            await Do(c, t, steps, change.SchoolId, yardstick, change.At, done);
        }
        catch (PostgresException e) when (e.SqlState == PostgresErrorCodes.UniqueViolation)
        {
            throw new BuiltOn($"Something with this ID is there already. Nothing changed. Reload and try again.");
        }
        await Keep(c, t, id, change, steps);
        if (with is not null)
            await with(c, t, id);
        await Tell(c, steps);
        await t.CommitAsync();
        // After a whole school has come in, the planner would go on believing that there is nobody.
        if (steps.Steps >= ManySteps)
            await c.ExecuteAsync("analyze adult, class, class_adult, reader, enrolment");
        return id;
    }

    /// <summary>Takes a change back.</summary>
    /// <exception cref="BuiltOn">Somebody has built on it; the sentence says who and what.</exception>
    /// <param name="allow">Looks at what taking it back does, and refuses what the asker may not do.</param>
    public async Task Undo(
        ChangeId changeId,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now,
        Func<ChangeSet, Task> allow
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Lock(c, schoolId);
        var bodies = await c.QueryAsync<byte[]>(
            "select body from change_part where change_id = @changeId order by part",
            new { changeId },
            t
        );
        var back = ChangeSet.Joined([.. bodies.Select(Unpack)]).Inverse();
        await allow(back);
        if (await Moved(c, back) is { Count: > 0 } moved)
            throw new BuiltOn(await Who(c, t, changeId, moved));
        await Removable(c, t, back);
        try
        {
            await Do(c, t, back, schoolId, yardstick, now, null);
        }
        catch (PostgresException e) when (e.SqlState == PostgresErrorCodes.ForeignKeyViolation)
        {
            throw new BuiltOn($"This would remove someone who has done work since. Undo that first.");
        }
        await Tell(c, back);
        await c.ExecuteAsync("update change set undone_at = @now where id = @changeId", new { changeId, now }, t);
        await t.CommitAsync();
    }

    private static async Task Do(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now,
        Action<double>? done
    )
    {
        await Levels.Remove(c, s.Levels);
        await Enrolments.Remove(c, s.Enrolments);
        await Teachings.Remove(c, s.Teachings);
        await Readers.Remove(c, s.Readers);
        await Classes.Remove(c, s.Classes);
        await Adults.Remove(c, s.Adults);
        await (Adults with { Fixed = [("school_id", NpgsqlDbType.Uuid, _ => schoolId)] }).Put(c, s.Adults);
        await (
            Classes with
            {
                Fixed =
                [
                    ("school_id", NpgsqlDbType.Uuid, _ => schoolId),
                    ("created_at", NpgsqlDbType.TimestampTz, _ => now.ToUniversalTime()),
                ],
            }
        ).Put(c, s.Classes);
        done?.Invoke(0.05);
        var starts = new Starts(yardstick, now, s.Levels);
        await (Readers with { Fixed = starts.Columns(schoolId) }).Put(c, s.Readers);
        done?.Invoke(0.35);
        await Teachings.Put(c, s.Teachings);
        await Enrolments.Put(c, s.Enrolments);
        done?.Invoke(0.8);
        await Levels.Put(c, s.Levels);
        await SessionStore.EndAll(c, t, Ended(s), now);
        await Depths(c, t, s, starts, yardstick, now);
    }

    /// <summary>Where those who are new begin, and where those whose stated level changed are now.</summary>
    private static async Task Depths(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        Starts starts,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var added = s.Readers.Where(r => r.Before is null).ToDictionary(r => r.Thing.Id, r => r.After!);
        await StepTable<StatedLevel>.Copy(
            c,
            "copy depth_day (reader_id, day, mean, sd, low, high) from stdin (format binary)",
            s.Levels.Where(l => l.After is not null && added.ContainsKey(l.After.ReaderId))
                .Select(l => l.After!)
                .DistinctBy(l => l.ReaderId),
            async (level, w) =>
            {
                var e = starts.Of(added[level.ReaderId]);
                await w.WriteRowAsync(
                    default,
                    level.ReaderId.Value,
                    yardstick.Year.Clock.DayOf(now),
                    e.Mean.Value,
                    e.Sd,
                    e.Low.Value,
                    e.High.Value
                );
            }
        );
        foreach (
            var reader in s
                .Levels.Select(l => l.Thing.ReaderId)
                .Distinct()
                .Where(id => !added.ContainsKey(id))
                .Except(s.Readers.Where(r => r.After is null).Select(r => r.Thing.Id))
        )
            await DepthKeeper.Recompute(c, t, reader, yardstick.Year, yardstick.Chart, now);
    }

    /// <summary>People whose sessions end: they have left, have another secret, or may do other things than
    /// before.</summary>
    private static IReadOnlyCollection<Guid> Ended(ChangeSet s) =>
        [
            .. s
                .Readers.Where(r =>
                    r is { Before: { } b, After: { } a } && (a.Secret != b.Secret || (a.Left && !b.Left))
                )
                .Select(r => r.Thing.Id.Value),
            .. s
                .Adults.Where(r =>
                    r is { Before: { } b, After: { } a }
                    && (a.Lead != b.Lead || a.Post != b.Post || (a.Left && !b.Left))
                )
                .Select(r => r.Thing.Id.Value),
        ];

    private static async Task<IReadOnlyList<IRosterThing>> Moved(NpgsqlConnection c, ChangeSet s) =>
        [
            .. await Adults.Moved(c, s.Adults),
            .. await Classes.Moved(c, s.Classes),
            .. await Readers.Moved(c, s.Readers),
            .. await Teachings.Moved(c, s.Teachings),
            .. await Enrolments.Moved(c, s.Enrolments),
            .. await Levels.Moved(c, s.Levels),
        ];

    /// <summary>Readers and classes that have been worked with cannot be taken away again.</summary>
    private static async Task Removable(NpgsqlConnection c, NpgsqlTransaction t, ChangeSet s)
    {
        var enrolments = s.Enrolments.Select(e => e.Thing.Id).ToArray();
        await ReadersRemovable(c, t, s, enrolments);
        var classes = s.Classes.Where(r => r.After is null).Select(r => r.Thing.Id).ToArray();
        var used = (
            await c.QueryAsync<string>(
                """
                with gone as (select unnest(@classes) as id), used as (
                  select k.class_id as id from assignment k join gone g on g.id = k.class_id
                  union all select k.class_id
                  from enrolment k join gone g on g.id = k.class_id left join unnest(@enrolments) x (id) on x.id = k.id
                  where x.id is null)
                select c.name from class c where c.id in (select id from used) order by c.name, c.id limit 3
                """,
                new { classes, enrolments },
                t
            )
        ).ToList();
        if (used.Count > 0)
            throw new BuiltOn($"{string.Join(", ", used)} has been used since. Undo that first.");
    }

    private static async Task ReadersRemovable(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        EnrolmentId[] enrolments
    )
    {
        var readers = s.Readers.Where(r => r.After is null).Select(r => r.Thing.Id).ToArray();
        var levels = s.Levels.Select(l => l.Thing.Id).ToArray();
        // Joined and not looked up one by one: a district's undo has a hundred thousand readers and more enrolments.
        var work = ReaderThings
            .All.Where(x => x.Work)
            .Select(x =>
                $"select k.{x.Column} as id from {x.Table} k join gone g on g.id = k.{x.Column}"
                + x.Table switch
                {
                    // What the change itself brought goes with it.
                    "evidence" => " left join unnest(@levels) x (id) on x.id = k.id where x.id is null",
                    "enrolment" => " left join unnest(@enrolments) x (id) on x.id = k.id where x.id is null",
                    _ => "",
                }
            );
        var busy = (
            await c.QueryAsync<string>(
                $"""
                with gone as (select unnest(@readers) as id), busy as ({string.Join(" union all ", work)})
                select r.given_name
                from reader r
                where r.id in (select id from busy)
                order by r.given_name, r.id
                limit 4
                """,
                new
                {
                    readers,
                    levels,
                    enrolments,
                },
                t
            )
        ).ToList();
        if (busy.Count > 0)
            throw new BuiltOn(
                busy.Count > MostNamed
                    ? $"Work or changes since exist for {busy.Take(MostNamed)} and others. Undo that first."
                    : (Message)$"Work or changes since exist for {busy}. Undo that first."
            );
    }

    private static async Task<Message> Who(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeId changeId,
        IReadOnlyList<IRosterThing> moved
    )
    {
        var readers = moved
            .Select(m =>
                m switch
                {
                    RosterReader r => r.Id,
                    Enrolment e => e.ReaderId,
                    StatedLevel l => l.ReaderId,
                    _ => (ReaderId?)null,
                }
            )
            .OfType<ReaderId>()
            .Take(1000)
            .ToArray();
        var later = await c.QueryFirstOrDefaultAsync<(string By, DateTimeOffset At, Message Summary)>(
            """
            select a.name, h.at, h.summary
            from change_reader x join change h on h.id = x.change_id join adult a on a.id = h.adult_id
            where x.reader_id = any(@readers)
              and h.undone_at is null
              and h.id <> @changeId
              and h.at >= (select at from change where id = @changeId)
            order by h.at desc limit 1
            """,
            new { readers, changeId },
            t
        );
        return later.By is null
            ? (Message)$"Part of this was changed again since. Undo that first."
            : $"{later.By} changed this again ({later.Summary}, {later.At}). Undo that first.";
    }

    /// <summary>Lists the change, and keeps its steps and whom they are about.</summary>
    private static async Task Keep(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeId id,
        RosterChange change,
        ChangeSet steps
    )
    {
        await c.ExecuteAsync(
            """
            insert into change (id, school_id, class_id, adult_id, at, kind, summary, detail)
            values (@id, @SchoolId, @ClassId, @AdultId, @At, @kind, @Summary::jsonb, '{}')
            """,
            new
            {
                id,
                change.SchoolId,
                change.ClassId,
                change.AdultId,
                change.At,
                kind = nameof(ChangeKind.Roster),
                change.Summary,
            },
            t
        );
        var part = 0;
        foreach (var piece in Pieces(steps))
        {
            await using var q = new NpgsqlCommand(
                "insert into change_part (change_id, part, body) values ($1, $2, $3)",
                c
            )
            {
                Parameters =
                {
                    new() { Value = id.Value },
                    new() { Value = part++ },
                    new() { Value = Pack(piece) },
                },
            };
            await q.ExecuteNonQueryAsync();
        }
        await StepTable<RosterReader>.Copy(
            c,
            "copy change_reader (change_id, reader_id) from stdin (format binary)",
            steps.TouchedReaders(),
            async (reader, w) => await w.WriteRowAsync(default, id.Value, reader.Value)
        );
    }

    // In the order they were done, so that taken back from the end nothing is missing what it leans on.
    private static IEnumerable<ChangeSet> Pieces(ChangeSet s)
    {
        if (s.Steps <= StepsPerPart)
        {
            yield return s;
            yield break;
        }
        foreach (var x in s.Adults.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Adults = x,
            };
        foreach (var x in s.Classes.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Classes = x,
            };
        foreach (var x in s.Readers.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Readers = x,
            };
        foreach (var x in s.Teachings.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Teachings = x,
            };
        foreach (var x in s.Enrolments.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Enrolments = x,
            };
        foreach (var x in s.Levels.Chunk(StepsPerPart))
            yield return ChangeSet.Nothing with
            {
                Levels = x,
            };
    }

    internal static byte[] Pack(ChangeSet steps)
    {
        using var body = new MemoryStream();
        using (var zip = new GZipStream(body, CompressionLevel.Fastest))
            System.Text.Json.JsonSerializer.Serialize(zip, steps, Database.Json);
        return body.ToArray();
    }

    internal static ChangeSet Unpack(byte[] body)
    {
        using var zip = new GZipStream(new MemoryStream(body), CompressionMode.Decompress);
        return System.Text.Json.JsonSerializer.Deserialize<ChangeSet>(zip, Database.Json)!;
    }

    // One roster change at a time in a school; readers at work are not held up by it.
    private static Task Lock(NpgsqlConnection c, SchoolId schoolId) =>
        c.ExecuteAsync("select pg_advisory_xact_lock(hashtextextended(@key, 0))", new { key = $"roster {schoolId}" });

    private static Task Tell(NpgsqlConnection c, ChangeSet s)
    {
        var classes = s
            .Enrolments.Select(e => (e.After ?? e.Before)!.ClassId)
            .Concat(s.Classes.Select(x => x.Thing.Id))
            .Concat(s.Teachings.Select(x => (x.After ?? x.Before)!.ClassId))
            .Distinct()
            .Take(200)
            .Select(id => id.ToString())
            .ToArray();
        return c.ExecuteAsync("select pg_notify('ticket', x) from unnest(@classes) x", new { classes });
    }
}
