using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>Closes what cannot be worked on any more once its last day is over where the school is.</summary>
public sealed class Closing(
    WeekStore weeks,
    TicketStore tickets,
    ReplyStore replies,
    SchoolStore schools,
    TimeProvider clock
) : IWork
{
    public string Name => "closing what has had its last day";

    public TimeSpan Every => TimeSpan.FromSeconds(20);

    public async Task<bool> Do(CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var any = false;
        foreach (var (school, there) in await weeks.ClosingSchools())
        {
            var today = there.DayOf(now);
            var chart = (await schools.Get(school)).Chart;
            foreach (var (ticket, reader, classId) in await weeks.ToClose(school, today))
            {
                stop.ThrowIfCancellationRequested();
                any |=
                    await replies.Close(ticket, reader, now)
                    || await tickets.Close(ticket, reader, classId, chart, today, now);
            }
        }
        return any;
    }
}
