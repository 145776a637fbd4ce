using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Feedbacks;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Demo;

/// <summary>What a simulated reader does with a text, silently and aloud, and what the teacher marks of it.</summary>
internal sealed class DemoReading(
    AdultStore adults,
    TextStore texts,
    TicketStore tickets,
    AnswerWriter writer,
    MarkingStore marking,
    FeedbackStore feedbacks,
    RunningRecordStore records,
    LevelChart chart
)
{
    private const int LeftToMark = 45;

    public async Task Read(
        SimulatedReader reader,
        SimulatedText text,
        VersionHead version,
        TicketId ticketId,
        DateTimeOffset at,
        bool thisWeek,
        DateTimeOffset now,
        DemoClass room
    )
    {
        reader.Seen.Add(text.Row.Id);
        var when = at.AddHours(reader.Dice.Next(4) * 24 + reader.Dice.NextDouble() * 5);
        // This week some have not begun and some are in the middle.
        if (
            thisWeek
            && (reader.Name == DemoWorld.KnownReader || when > now.AddMinutes(-40) || reader.Dice.NextDouble() < 0.4)
        )
            return;
        if (!thisWeek && reader.Name != DemoWorld.KnownReader && reader.Dice.NextDouble() < 0.04)
            return;
        var ticket = await tickets.Find(ticketId, reader.Id)
            ?? throw new InvalidOperationException("A ticket was given and is not there.");
        await tickets.Open(ticket, when, when);
        await adults.SignedIn(reader.Id.Value, reader: true, when);
        var clock = when.AddSeconds(await TurnPages(reader, ticket, version, when));
        var stopAfter = thisWeek && reader.Dice.NextDouble() < 0.25 ? 3 : int.MaxValue;
        clock = await Answer(reader, text, version, ticketId, stopAfter, clock);
        if (stopAfter < int.MaxValue)
            return;
        var done = await tickets.HandIn(ticketId, reader.Id, chart, clock.AddSeconds(5), clock.AddSeconds(5));
        if (done is { State: TicketState.ToMark })
        {
            if (at > now.AddDays(-LeftToMark) && reader.Dice.NextDouble() < 0.5)
                return;
            await MarkWritten(reader, text, ticketId, room, clock);
        }
        await LookAtResult(reader, ticketId, clock.AddDays(2), now);
    }

    /// <summary>Most readers look at their results; those in a hurry do not.</summary>
    private async Task LookAtResult(SimulatedReader reader, TicketId ticketId, DateTimeOffset at, DateTimeOffset now)
    {
        var seconds = 20 + 70 * reader.Dice.NextDouble();
        if (reader.Dice.NextDouble() < (reader.Hurries ? 0.1 : 0.85) && at < now)
            await feedbacks.Spend(ticketId, SpellId.New(), seconds, at);
    }

    /// <summary>Reads page by page.</summary>
    /// <returns>Seconds it took.</returns>
    private async Task<double> TurnPages(
        SimulatedReader reader,
        OpenTicket ticket,
        VersionHead version,
        DateTimeOffset when
    )
    {
        var seconds = version.Words / reader.Rate * 60 * (reader.Hurries ? 0.18 : 1);
        var pages = (await texts.Body(version.Id)).Pages.Count;
        for (var page = 0; page < pages; page++)
            await tickets.Spend(
                ticket,
                SpellId.New(),
                page,
                seconds / pages * (0.85 + 0.3 * reader.Dice.NextDouble()),
                when.AddSeconds(seconds * page / pages),
                chart
            );
        return seconds;
    }

    private async Task<DateTimeOffset> Answer(
        SimulatedReader reader,
        SimulatedText text,
        VersionHead version,
        TicketId ticketId,
        int stopAfter,
        DateTimeOffset clock
    )
    {
        foreach (var q in text.Questions.Where(q => !q.OnTheWay).Take(stopAfter))
            for (var attempt = 0; attempt < 2; attempt++)
            {
                clock = clock.AddSeconds(12 + 20 * reader.Dice.NextDouble());
                var right = reader.Answers(q, version.Depth, attempt);
                var sentences = q.Rules.PicksSentences ? await texts.Sentences(version.Id) : [];
                var answer = SimulatedAnswer.To(q, right, sentences, version.Label, new(reader.Dice.Next()));
                await writer.Keep(
                    ticketId,
                    reader.Id,
                    [new(AnswerId.New(), q.Id, _ => answer, clock, 9000 + reader.Dice.Next(12000))],
                    clock
                );
                if (right)
                    break;
            }
        return clock;
    }

    private async Task MarkWritten(
        SimulatedReader reader,
        SimulatedText text,
        TicketId ticketId,
        DemoClass room,
        DateTimeOffset clock
    )
    {
        foreach (var q in text.Questions.Where(q => q is { Written: true, OnTheWay: false }))
        foreach (var a in (await tickets.Answers(ticketId)).Where(a => a.QuestionId == q.Id))
        {
            var full = a.Response.Words == q.Rubric!.Samples[0];
            await marking.Mark(
                ticketId,
                reader.Id,
                a.Id,
                q.Rubric.Mark([
                    .. q.Rubric.Criteria.Select(
                        (row, i) =>
                            full ? row.Most
                            : i == 0 ? 1
                            : 0
                    ),
                ])!,
                "",
                room.Teacher.Id,
                room.Year,
                chart,
                clock.AddDays(1)
            );
        }
        await marking.Release(ticketId, room.Id, clock.AddDays(1));
    }

    /// <summary>The reader reads a text near their depth aloud, and the teacher marks it.</summary>
    public async Task Record(SimulatedReader p, DemoClass room, List<SimulatedText> library, DateTimeOffset at)
    {
        var wanted = p.Depth + 3 * Normal.Draw(p.Dice);
        var (text, version) = library
            .SelectMany(t => t.Row.Versions.Select(v => (t, v)))
            .Where(x => x.v.Words >= 60)
            .MinBy(x => Math.Abs(x.v.Depth.Value - wanted));
        var body = RecordSheet.Body((await texts.Body(version.Id)).Pages);
        var words = SpokenForms.Of(body);
        int? last = words.Count > 150 ? 119 : null;
        var sheet = SimulatedOral.Sheet(p, version.Depth.Value, words, last, p.Dice);
        var id = RecordId.New();
        await records.Begin(
            new(
                id,
                p.Id,
                version.Id,
                text.Row.Id,
                null,
                room.Teacher.Id,
                text.Row.Title,
                body,
                version.Depth,
                text.Row.Fiction,
                at
            )
        );
        var record = (await records.Find(id, p.Id))!;
        await records.Keep(
            record,
            sheet,
            at,
            1,
            done: true,
            room.Teacher.Id,
            RecordEvidence.Of(record, sheet, at, text.Questions),
            room.Year,
            chart,
            at
        );
    }
}
