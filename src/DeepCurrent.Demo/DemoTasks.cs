using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Plans;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Core.WordLists;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Plans;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Data.WordLists;

namespace DeepCurrent.Demo;

/// <summary>Work without a text, and what is kept to be given again: a word list, a written answer, a link, a
/// plan.</summary>
internal sealed class DemoTasks(
    ChangeStore changes,
    TicketStore tickets,
    ReplyStore replies,
    ReplyMarker marker,
    PlanStore plans,
    WordListStore lists
)
{
    private static readonly ListedWord[] Words =
    [
        new("mooring", "noun", "a place where a boat is tied up", "The ferry is on its mooring."),
        new("sluice", "noun", "a gate that lets water through", "They open the sluice at low water."),
        new("ebb", "verb", "to flow back out to sea", "The tide begins to ebb at noon."),
        new("gauge", "noun", "something that shows how much there is", "The gauge reads two metres."),
        new("estuary", "noun", "the wide end of a river, where it meets the sea", "Kelp grows near the estuary."),
        new("forecast", "noun", "what is expected to come", "The forecast says rain."),
    ];

    private static readonly string[] Answers =
    [
        "I would keep the lamp, because without it nobody finds the harbour at night.",
        "The keeper should ring the bell first. The wind was from the west, so boats could hear it.",
        "She was right to wait. The gauge was still rising and the bridge was wet.",
        "Close the sluice. If the sea comes in, the mill pond is salt for a year.",
        "I would ask the ferry crew, because they see the weather before we do.",
    ];

    private const int LeftOpen = 1,
        LeftToMark = 2;

    /// <summary>A written answer of the week before, most of it marked, and words of this week, some of them
    /// known.</summary>
    public async Task Give(DemoClass room, DateOnly monday, DateTimeOffset now)
    {
        var week = DemoClass.Hour(monday.AddDays(-7), 8);
        var written = await Given(
            (
                TaskKind.Written,
                new(
                    "After the storm",
                    Prompt: "The bridge is closed. What would you do first, and why? Give two reasons."
                )
            ),
            new(monday.AddDays(-7), monday.AddDays(-3), Talk: true),
            week
        );
        await Write(room, written, week);
        var practised = await Given(
            (TaskKind.Words, new("Estuary words", Words: Words, AtOnce: 3)),
            new(monday, monday.AddDays(4)),
            now.AddHours(-1)
        );
        await Practise(room.Id, [.. practised.Take(room.People.Count / 2)], now);

        Task<IReadOnlyList<NewTicket>> Given(
            (TaskKind Kind, TaskContent Content) what,
            AssignmentTerms terms,
            DateTimeOffset at
        ) =>
            Assign(
                new()
                {
                    Id = AssignmentId.New(),
                    ClassId = room.Id,
                    AssignedBy = room.Teacher.Id,
                    AssignedAt = at,
                    Terms = terms.Moved(0, room.Year.Calendar),
                    Task = new(TaskId.New(), null, 1, false, Kind: what.Kind, Content: what.Content),
                    Aims = [new(room.Id)],
                    Tickets = [.. room.People.Select(r => new NewTicket(TicketId.New(), r.Id, null, null))],
                },
                room.Teacher.SchoolId,
                room.Year.Clock.DayOf(at)
            );
    }

    /// <summary>What readers wrote, most of it marked.</summary>
    private async Task Write(DemoClass room, IReadOnlyList<NewTicket> written, DateTimeOffset week)
    {
        foreach (var (ticket, i) in written.SkipLast(LeftOpen).Select((k, i) => (k, i)))
        {
            var at = week.AddDays(1).AddMinutes(17 * i);
            await tickets.Open(ticket.Id, room.Id, TicketState.Waiting, at, at);
            await replies.Keep(ticket.Id, ticket.ReaderId, Answers[i % Answers.Length], [], null, at, at);
            await replies.HandIn(ticket.Id, ticket.ReaderId, at.AddMinutes(6), at.AddMinutes(6));
            if (i >= written.Count - LeftOpen - LeftToMark)
                continue;
            var said = i % 2 == 0 ? "Two clear reasons." : "One reason so far. What does the wind do?";
            await marker.Mark(
                ticket.Id,
                ticket.ReaderId,
                new([i % 2 == 0 ? 3 : 2], Rubric.Usual.Most),
                said,
                room.Teacher.Id,
                at.AddDays(1)
            );
        }
    }

    /// <summary>Words that readers practised, some of them all.</summary>
    private async Task Practise(ClassId classId, IReadOnlyList<NewTicket> practised, DateTimeOffset now)
    {
        foreach (var (ticket, i) in practised.Select((k, i) => (k, i)))
        {
            PractisedWord[] known =
            [
                .. Enumerable.Range(0, Words.Length - i % 2).Select(w => new PractisedWord(w, 1 + (w + i) % 2, true)),
            ];
            var at = now.AddMinutes(-40 + i);
            await tickets.Open(ticket.Id, classId, TicketState.Waiting, at, at);
            await replies.Keep(ticket.Id, ticket.ReaderId, "", known, null, at, at);
            if (known.Length == Words.Length)
                await replies.HandIn(ticket.Id, ticket.ReaderId, at, at);
        }
    }

    private async Task<IReadOnlyList<NewTicket>> Assign(NewAssignment a, SchoolId schoolId, DateOnly today)
    {
        await changes.Do(new(schoolId, a.ClassId, a.AssignedBy, a.AssignedAt), ChangeKind.Assigned, async (c, t) =>
        {
            await AssignmentWriter.Add(c, t, a, today);
            return new(
                new { assignmentIds = new[] { a.Id } },
                $"Assigned {a.Task.Content!.Title} to {a.Tickets.Count:count} readers"
            );
        });
        return a.Tickets;
    }

    /// <summary>What the school keeps to give again: the words, and two weeks at the harbour.</summary>
    public async Task Keep(Adult lead, IReadOnlyList<SimulatedText> library, DateTimeOffset at)
    {
        var list = new WordListId(Guid.CreateVersion7());
        await lists.Keep(list, lead.SchoolId, lead.Id, "Estuary words", mine: false, Words, 0, at);
        var texts = library.OrderBy(t => t.Row.Title, StringComparer.Ordinal).Take(4).ToList();
        var items = texts
            .Select((text, i) => Item(i / 2, 2 * (i % 2), TaskKind.Text, text.Row.Title, text.Row.Id, null))
            .Append(Item(0, 4, TaskKind.Words, "Estuary words", null, new("Estuary words", Words: Words, List: list)))
            .Append(
                Item(
                    1,
                    4,
                    TaskKind.Written,
                    "What I found out",
                    null,
                    new("What I found out", Prompt: "Which of the two weeks' texts taught you most? Say what, and how.")
                )
            )
            .OrderBy(i => i.Week)
            .ThenBy(i => i.Day)
            .ToList();
        var plan = new PlanRow(
            new(Guid.CreateVersion7()),
            lead.Id,
            lead.Name,
            "Two weeks at the harbour",
            Mine: false,
            InOrder: true,
            Revision: 0,
            at,
            items
        );
        await plans.Keep(plan, lead.SchoolId);

        static PlanItem Item(int week, int day, TaskKind kind, string title, TextId? text, TaskContent? content) =>
            new(week, day, 2, kind, title, text, content, 2, OnTheWay: true, Aloud: false, "", "");
    }
}
