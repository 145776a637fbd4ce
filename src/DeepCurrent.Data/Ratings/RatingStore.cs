using DeepCurrent.Core.Ratings;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Ratings;

/// <summary>What a reader thinks of a text, and says of it.</summary>
/// <param name="Words">Empty where nothing is said.</param>
public sealed record Rating(TextId TextId, Liking Liking, string Words, Approval Approval, DateTimeOffset At);

/// <summary>What a reader says of a text, for their teacher.</summary>
public sealed record RecommendationRow(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    TextId TextId,
    string Title,
    Liking Liking,
    string Words,
    Approval Approval,
    DateTimeOffset At,
    string? ApprovedBy
);

/// <summary>What a classmate says of a text.</summary>
public sealed record SaidOfText(TextId TextId, ReaderId ReaderId, string Words, DateTimeOffset At);

/// <summary>What readers think of texts, and what others see of it.</summary>
public sealed class RatingStore(NpgsqlDataSource db)
{
    public Task<IReadOnlyList<Rating>> Of(ReaderId readerId) =>
        db.All<Rating>(
            """
            select text_id, liking, words, approval, at
            from rating
            where reader_id = @readerId
            order by at desc
            limit 500
            """,
            new { readerId }
        );

    /// <summary>Keeps what a reader thinks of a text they have worked on. Other words wait for a teacher again; the same
    /// words stay as they were looked at.</summary>
    /// <returns>False where the reader never had the text.</returns>
    public async Task<bool> Put(ReaderId readerId, TextId textId, Liking liking, string words, DateTimeOffset at) =>
        await db.Run(
            $"""
            insert into rating (reader_id, text_id, liking, words, at, approval)
            select @readerId, @textId, @liking, @words, @at, @approval
            where exists (
              select 1
              from ticket k join task y on y.id = k.task_id
              where k.reader_id = @readerId
                and y.text_id = @textId
                and k.opened_at is not null
                and k.state in ({TicketStates.Seen}))
            on conflict (reader_id, text_id) do update
            set liking = excluded.liking, words = excluded.words, at = excluded.at,
              approval = case when rating.words = excluded.words then rating.approval else excluded.approval end,
              approved_by = case when rating.words = excluded.words then rating.approved_by end,
              approved_at = case when rating.words = excluded.words then rating.approved_at end
            where rating.at <= excluded.at
            """,
            new
            {
                readerId,
                textId,
                liking = liking.ToString(),
                words,
                at,
                approval = (words.Length > 0 ? Approval.Waiting : Approval.None).ToString(),
            }
        ) > 0
        || await db.Value<bool>(
            "select exists (select 1 from rating where reader_id = @readerId and text_id = @textId)",
            new { readerId, textId }
        );

    /// <summary>What readers of a class say of texts: what waits first, then the newest.</summary>
    public Task<IReadOnlyList<RecommendationRow>> OfClass(ClassId classId, DateOnly today) =>
        db.All<RecommendationRow>(
            $"""
            select r.id as reader_id, r.given_name, r.family_name, g.text_id, t.title, g.liking, g.words, g.approval,
              g.at, a.name as approved_by
            from rating g
              join reader r on r.id = g.reader_id
              join text t on t.id = g.text_id
              left join adult a on a.id = g.approved_by
            where g.words <> '' and g.reader_id in ({ReadersOfClass})
            order by g.approval <> '{nameof(Approval.Waiting)}', g.at desc
            limit 300
            """,
            new { classId, today }
        );

    private const string ReadersOfClass = """
        select e.reader_id
        from enrolment e
        where e.class_id = @classId and e.from_day <= @today and (e.to_day is null or e.to_day > @today)
        """;

    /// <summary>A teacher lets others see what a reader of the class says, or not.</summary>
    /// <returns>False where there is nothing to be seen.</returns>
    public async Task<bool> Approve(
        ClassId classId,
        DateOnly today,
        (ReaderId Reader, TextId Text) of,
        bool shown,
        AdultId by,
        DateTimeOffset at
    ) =>
        await db.Run(
            $"""
            update rating
            set approval = @approval, approved_by = @by, approved_at = @at
            where reader_id = @Reader and text_id = @Text and words <> '' and reader_id in ({ReadersOfClass})
            """,
            new
            {
                classId,
                today,
                of.Reader,
                of.Text,
                approval = (shown ? Approval.Approved : Approval.Kept).ToString(),
                by,
                at,
            }
        ) > 0;

    /// <summary>What those who are in a class with a reader say of some texts, newest first.</summary>
    public Task<IReadOnlyList<SaidOfText>> ByClassmates(
        ReaderId readerId,
        IReadOnlyCollection<TextId> texts,
        DateOnly today
    ) =>
        db.All<SaidOfText>(
            $"""
            select distinct g.text_id, g.reader_id, g.words, g.at
            from enrolment mine
              join enrolment e on e.class_id = mine.class_id
              join class c on c.id = mine.class_id
              join rating g on g.reader_id = e.reader_id
            where mine.reader_id = @readerId
              and e.reader_id <> @readerId
              and mine.from_day <= @today
              and (mine.to_day is null or mine.to_day > @today)
              and e.from_day <= @today
              and (e.to_day is null or e.to_day > @today)
              and not c.closed
              and g.approval = '{nameof(Approval.Approved)}'
              and g.text_id = any(@texts)
            order by g.at desc
            limit 200
            """,
            new
            {
                readerId,
                texts = texts.ToArray(),
                today,
            }
        );

    private static readonly string LikedOnes = Members.Where<Liking>(Likings.Liked);

    /// <summary>What others of a school like together with what a reader likes; nothing of what the reader has
    /// rated.</summary>
    public Task<IReadOnlyList<LikedTogether>> Together(ReaderId readerId, SchoolId schoolId) =>
        db.All<LikedTogether>(
            $"""
            with mine as (select text_id, liking from rating where reader_id = @readerId),
            known as (select text_id from mine where liking in ({LikedOnes})),
            liked as (
              select g.reader_id, g.text_id
              from rating g join reader r on r.id = g.reader_id
              where r.school_id = @schoolId
                and g.reader_id <> @readerId
                and g.liking in ({LikedOnes})
                and exists (select 1 from known)
            ),
            sizes as (select text_id, count(*)::int as likers from liked group by text_id)
            select k.text_id as known, o.text_id as other, count(*)::int as "both", sk.likers as of_known,
              so.likers as of_other
            from known k
              join liked a on a.text_id = k.text_id
              join liked o on o.reader_id = a.reader_id and o.text_id not in (select text_id from mine)
              join sizes sk on sk.text_id = k.text_id
              join sizes so on so.text_id = o.text_id
            group by k.text_id, o.text_id, sk.likers, so.likers
            limit 20000
            """,
            new { readerId, schoolId }
        );
}
