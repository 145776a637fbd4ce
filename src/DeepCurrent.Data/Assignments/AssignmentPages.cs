using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>Which assignments of a class are listed.</summary>
public enum AssignmentsShown
{
    Everything,
    Drafts,

    /// <summary>Somebody still has it.</summary>
    Open,

    /// <summary>Somebody's answers wait for a person.</summary>
    ToMark,

    /// <summary>Readers took it themselves.</summary>
    Chosen,
}

/// <summary>What assignments are listed by.</summary>
public enum AssignmentsOrder
{
    Latest,
    Due,
    Title,
}

/// <param name="Words">Part of the title or the heading; empty for any.</param>
/// <param name="From">How many to leave out first.</param>
public sealed record AssignmentsAsked(string Words, AssignmentsShown Shown, AssignmentsOrder Order, int From);

/// <param name="All">How many there are in all.</param>
public sealed record AssignmentPage(IReadOnlyList<AssignmentRow> Rows, int All);

/// <summary>A class's assignments, a page at a time: there are thousands in a year.</summary>
public sealed class AssignmentPages(NpgsqlDataSource db)
{
    private const int PageSize = 50;

    private static string Condition(AssignmentsShown shown) =>
        shown switch
        {
            AssignmentsShown.Everything => $"(a.draft or {With($"k.state <> {TicketStates.TakenBack}")})",
            AssignmentsShown.Drafts => "a.draft",
            AssignmentsShown.Open => With("k.state = any(@open)"),
            AssignmentsShown.ToMark => With($"k.state in ({TicketStates.AtMarking})"),
            AssignmentsShown.Chosen => $"a.chosen and {With($"k.state <> {TicketStates.TakenBack}")}",
            _ => throw new ArgumentOutOfRangeException(nameof(shown), shown, "There is no such list."),
        };

    private static string With(string ticket) =>
        $"exists (select 1 from ticket k where k.assignment_id = a.id and {ticket})";

    private static string Sort(AssignmentsOrder order) =>
        order switch
        {
            AssignmentsOrder.Latest => "a.assigned_at desc",
            AssignmentsOrder.Due => "a.due_on desc nulls last",
            AssignmentsOrder.Title => $"lower({TaskSql.Title})",
            _ => throw new ArgumentOutOfRangeException(nameof(order), order, "There is no such order."),
        };

    public async Task<AssignmentPage> Of(ClassId classId, AssignmentsAsked asked)
    {
        var found = await db.All<(AssignmentId Id, int All)>(
            $"""
            select a.id, count(*) over ()::int
            from assignment a
              join lateral (
                select text_id, content
                from task
                where assignment_id = a.id
                order by position desc
                limit 1) y on true
              left join text t on t.id = y.text_id
            where a.class_id = @classId
              and (@Words = '' or strpos(lower({TaskSql.Title} || ' ' || a.heading), lower(@Words)) > 0)
              and {Condition(asked.Shown)}
            order by {Sort(asked.Order)}, a.id desc
            limit {PageSize} offset @From
            """,
            new
            {
                classId,
                asked.Words,
                asked.From,
                open = TicketStates.Open,
            }
        );
        var rows = (
            await db.All<AssignmentRow>(
                $"{AssignmentStore.RowSql} where a.id = any(@ids) {AssignmentStore.RowGroups} limit {PageSize}",
                new { ids = found.Select(f => f.Id).ToArray() }
            )
        ).ToDictionary(r => r.Id);
        return new([.. found.Select(f => rows[f.Id])], found.Count == 0 ? 0 : found[0].All);
    }
}
