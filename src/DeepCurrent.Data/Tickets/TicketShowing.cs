using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>Shows readers what was planned for them: from its day on, what is extra once they have handed in
/// everything required that they see, and what stands in line once nothing before it is unfinished. Each stands in its
/// caller's transaction.</summary>
internal static class TicketShowing
{
    public static Task InSchool(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SchoolId schoolId,
        DateOnly today,
        DateTimeOffset now
    ) => Show(c, t, "s.school_id = @schoolId", new { schoolId }, today, now);

    public static Task Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        DateOnly today,
        DateTimeOffset now
    ) => Show(c, t, "k.assignment_id = @assignmentId", new { assignmentId }, today, now);

    public static Task OfTask(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TaskId taskId,
        DateOnly today,
        DateTimeOffset now
    ) => Show(c, t, "k.task_id = @taskId", new { taskId }, today, now);

    public static Task For(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        DateOnly today,
        DateTimeOffset now
    ) => Show(c, t, "k.reader_id = @readerId", new { readerId }, today, now);

    public static Task Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<ReaderId> readers,
        DateOnly today,
        DateTimeOffset now
    ) => Show(c, t, "k.reader_id = any(@readers)", new { readers = readers.ToArray() }, today, now);

    /// <param name="which">Which tickets, as a condition on k.</param>
    private static string ShowSql(string which) =>
        $"""
            update ticket k
            set state = {TicketStates.Waiting}, changed_at = @now
            from assignment a, class s
            where a.id = k.assignment_id
              and s.id = k.class_id
              and {which}
              and k.state = {TicketStates.Planned}
              and a.visible_from <= @today
              and (
                a.need <> '{nameof(Need.Extra)}'
                or not exists (
                  select 1
                  from ticket o join assignment b on b.id = o.assignment_id
                  where o.reader_id = k.reader_id
                    and o.class_id = k.class_id
                    and o.state = any(@open)
                    and b.need = '{nameof(Need.Required)}'
                    and not b.chosen))
              and (
                a.turn_of is null
                or not exists (
                  select 1
                  from ticket o join assignment b on b.id = o.assignment_id
                  where b.turn_of = a.turn_of
                    and b.turn < a.turn
                    and o.reader_id = k.reader_id
                    and o.state = any(@unfinished)))
            returning k.class_id
            """;

    private static async Task Show(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        string which,
        object whose,
        DateOnly today,
        DateTimeOffset now
    )
    {
        var values = new DynamicParameters(whose);
        values.AddDynamicParams(
            new
            {
                today,
                now,
                open = TicketStates.Open,
                unfinished = TicketStates.Open.Append(nameof(TicketState.Planned)).ToArray(),
            }
        );
        var shown = await c.QueryAsync<ClassId>(ShowSql(which), values, t);
        foreach (var classId in shown.Distinct())
            await c.Tell(t, "ticket", classId);
    }
}
