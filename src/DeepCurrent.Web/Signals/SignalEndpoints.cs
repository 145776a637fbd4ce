using DeepCurrent.Core.Access;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Signals;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Signals;

/// <summary>What the data say a teacher should look at, and what the teacher says about it.</summary>
public static class SignalEndpoints
{
    private const int Most = 500,
        LongestPutOff = 370;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/signals", View);
        api.MapPost("/classes/{classId:guid}/signals", Do);
    }

    private static async Task<SignalsView> View(
        ClassId classId,
        Desk desk,
        SignalBook book,
        SignalStore signals,
        SchoolStore schools
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var at = await desk.Moment();
        var kept = await book.Look(classId, await desk.School(), place.SchoolYearId, at);
        var year = await schools.Year(place.SchoolYearId);
        var since = year.Clock.Begin(year.TermOn(at.Today)?.FirstDay ?? year.FirstDay);
        return new(
            at.Now,
            SignalView.Open(kept),
            [.. kept.Where(k => k.State is SignalState.PutOff).OrderBy(k => k.Until).Select(SignalView.Of)],
            await signals.Ended(classId, since)
        );
    }

    private static async Task<SignalsDone> Do(ClassId classId, SignalRequest request, Desk desk, SignalStore signals)
    {
        await desk.Class(classId, Deed.Mark);
        var today = await desk.Today();
        var faults = new Faults();
        faults.If(request.Ids.Count is 0 or > Most, "ids", $"Choose 1 to {Most} signals.");
        faults.If(
            request.Deed is SignalDeed.PutOff
                && !(request.Until > today && request.Until <= today.AddDays(LongestPutOff)),
            "until",
            $"Choose a day from tomorrow on, within a year."
        );
        faults.Refuse();
        return new(await signals.Do(classId, request.Ids, request.Deed, request.Until, desk.Who.Adult, desk.Now));
    }
}
