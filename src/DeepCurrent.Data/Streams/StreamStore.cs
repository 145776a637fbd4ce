using Dapper;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Streams;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Streams;

/// <summary>Which stream a class has.</summary>
public sealed record ClassStreamRow(string Course, string? By, DateTimeOffset LinkedAt);

/// <summary>How a shared assignment stands in its stream.</summary>
/// <param name="SentAt">Null while it does not stand there.</param>
/// <param name="Failures">In a row, since it last did.</param>
public sealed record SharedRow(AssignmentId AssignmentId, DateTimeOffset? SentAt, int Failures);

/// <summary>A post with what is known of it.</summary>
/// <param name="Post">Null where there is nothing to show.</param>
public sealed record PostToKeep(
    AssignmentId Id,
    string Course,
    string Home,
    bool Shared,
    bool Seen,
    string? Sent,
    int Failures,
    StreamPost? Post
);

/// <summary>Classes' streams, and what stands in them.</summary>
public sealed class StreamStore(NpgsqlDataSource db)
{
    public const string Channel = "class_stream";

    public Task<ClassStreamRow?> Find(ClassId classId) =>
        db.One<ClassStreamRow>(
            """
            select s.course, p.name as "by", s.linked_at
            from class_stream s left join adult p on p.id = s.linked_by
            where s.class_id = @classId
            """,
            new { classId }
        );

    /// <summary>Classes of a school that have a stream of this name.</summary>
    public Task<IReadOnlyList<ClassId>> ClassesOf(string course, SchoolId schoolId) =>
        db.All<ClassId>(
            """
            select c.id
            from class_stream s join class c on c.id = s.class_id
            where s.course = @course and c.school_id = @schoolId
            order by c.id
            limit 50
            """,
            new { course, schoolId }
        );

    /// <summary>Gives a class its stream.</summary>
    /// <param name="home">Where its links lead: this application, as its teacher reaches it.</param>
    /// <returns>False where it has another.</returns>
    public async Task<bool> Link(ClassId classId, string course, string home, AdultId by, DateTimeOffset at) =>
        await db.Run(
            """
            insert into class_stream (class_id, course, home, linked_by, linked_at)
            values (@classId, @course, @home, @by, @at)
            on conflict (class_id) do update set home = @home where class_stream.course = @course
            """,
            new
            {
                classId,
                course,
                home,
                by,
                at,
            }
        ) > 0;

    /// <summary>Takes the stream away; what stands in it is taken back.</summary>
    public async Task Unlink(ClassId classId, DateTimeOffset at)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync("delete from class_stream where class_id = @classId", new { classId }, t);
        await c.ExecuteAsync(
            "update stream_post set wanted = false, next_at = @at where class_id = @classId",
            new { classId, at },
            t
        );
        await c.Tell(t, Channel, classId);
        await t.CommitAsync();
    }

    /// <summary>What is shared of a class.</summary>
    public Task<IReadOnlyList<SharedRow>> Shared(ClassId classId) =>
        db.All<SharedRow>(
            """
            select assignment_id, sent_at, failures
            from stream_post
            where class_id = @classId and wanted
            order by asked_at desc
            limit 1000
            """,
            new { classId }
        );

    /// <summary>Shares an assignment, or no longer.</summary>
    public async Task Ask(AssignmentId id, ClassId classId, bool wanted, AdultId by, DateTimeOffset at)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Ask(c, t, [id], classId, wanted, by, at);
        await t.CommitAsync();
    }

    /// <summary>Shares assignments of a class that has a stream, inside the transaction that gives them.</summary>
    public static async Task Ask(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<AssignmentId> ids,
        ClassId classId,
        bool wanted,
        AdultId by,
        DateTimeOffset at
    )
    {
        await c.ExecuteAsync(
            """
            insert into stream_post (assignment_id, class_id, course, wanted, asked_by, asked_at, next_at)
            select x.id, s.class_id, s.course, @wanted, @by, @at, @at
            from unnest(@ids) x (id) cross join class_stream s
            where s.class_id = @classId
            on conflict (assignment_id) do update
            set wanted = @wanted, course = excluded.course, asked_by = @by, asked_at = @at, next_at = @at, failures = 0
            where stream_post.sent is null or stream_post.course = excluded.course
            """,
            new
            {
                ids = ids.ToArray(),
                classId,
                wanted,
                by,
                at,
            },
            t
        );
        await c.Tell(t, Channel, classId);
    }

    private sealed record Flat
    {
        public required AssignmentId Id { get; init; }

        public required string Course { get; init; }

        public required string? Home { get; init; }

        public required bool Wanted { get; init; }

        public required string? Sent { get; init; }

        public required int Failures { get; init; }

        public required bool Draft { get; init; }

        public required DateOnly? VisibleFrom { get; init; }

        public required DateOnly? DueOn { get; init; }

        public required string? Heading { get; init; }

        public required string? Title { get; init; }

        public required string TimeZone { get; init; }

        public required string? Readers { get; init; }
    }

    /// <summary>The posts that can be kept as they should be now; what did not answer is left alone for a
    /// while.</summary>
    public async Task<IReadOnlyList<PostToKeep>> ToKeep(DateTimeOffset now)
    {
        var rows = await db.All<Flat>(
            $"""
            select p.assignment_id as id, p.course, l.home, p.wanted, p.sent, p.failures, coalesce(a.draft, false) as draft,
                   a.visible_from, a.due_on, a.heading, {TaskSql.Title} as title, s.time_zone,
                   (
                     select string_agg(distinct r.user_name, ' ' order by r.user_name)
                     from ticket k join reader r on r.id = k.reader_id
                     where k.assignment_id = a.id and k.state in ({TicketStates.Seen})) as readers
            from stream_post p
              join class c on c.id = p.class_id
              join school s on s.id = c.school_id
              left join class_stream l on l.class_id = p.class_id
              left join assignment a on a.id = p.assignment_id
              left join lateral (select * from task where assignment_id = a.id order by position desc limit 1) y on true
              left join text t on t.id = y.text_id
            where p.next_at <= @now
              and (not p.wanted or p.sent is null or a.id is null or p.asked_at >= @longAgo)
            order by p.next_at
            limit @most
            """,
            new
            {
                now,
                longAgo = now.AddDays(-LongAgo),
                most = Most,
            }
        );
        return [.. rows.Select(r => Keep(r, now))];
    }

    /// <summary>Days after which what stands in a stream is left as it is.</summary>
    private const int LongAgo = 60;

    /// <summary>Posts that are looked at in one go.</summary>
    public const int Most = 500;

    private static PostToKeep Keep(Flat r, DateTimeOffset now)
    {
        var there = r is { Title: not null, Draft: false, Readers: not null };
        var seen = there && r.VisibleFrom <= new SchoolClock(r.TimeZone).DayOf(now);
        return new(
            r.Id,
            r.Course,
            r.Home ?? "",
            r.Wanted && r.Title is not null,
            r.Wanted && seen,
            r.Sent,
            r.Failures,
            there ? new(r.Id, r.Heading ?? "", r.Title!, r.DueOn, r.Readers!.Split(' ')) : null
        );
    }

    /// <summary>Leaves some alone until then: those that were not looked at for longest come next.</summary>
    public Task Looked(IReadOnlyCollection<AssignmentId> ids, DateTimeOffset next) =>
        db.Run(
            "update stream_post set next_at = @next where assignment_id = any(@ids)",
            new { ids = ids.ToArray(), next }
        );

    /// <summary>Notes what stands in the stream now.</summary>
    /// <param name="sent">Its fingerprint; null where nothing does.</param>
    public Task Kept(AssignmentId id, string? sent, DateTimeOffset at) =>
        db.Run(
            "update stream_post set sent = @sent, sent_at = @sentAt, failures = 0 where assignment_id = @id",
            new
            {
                id,
                sent,
                sentAt = sent is null ? (DateTimeOffset?)null : at,
            }
        );

    /// <summary>Notes that the stream did not answer.</summary>
    public Task Failed(AssignmentId id, DateTimeOffset next) =>
        db.Run(
            "update stream_post set failures = failures + 1, next_at = @next where assignment_id = @id",
            new { id, next }
        );

    /// <summary>Forgets what is neither shared nor in the stream.</summary>
    public Task Forget(AssignmentId id) =>
        db.Run("delete from stream_post where assignment_id = @id and sent is null", new { id });
}
