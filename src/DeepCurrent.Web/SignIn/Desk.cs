using System.Globalization;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>Finds what is asked for and decides whether the one who asks may have it. What may not be had is not
/// found.</summary>
public sealed class Desk(IHttpContextAccessor http, SchoolStore schools, ReaderStore readers, TimeProvider clock)
{
    /// <summary>Carries what the device's clock shows as a request is sent.</summary>
    public const string SentAt = "X-Sent-At";

    private School? school;

    public Who Who { get; } = Who.From(http.HttpContext?.User ?? new());

    /// <summary>Now: the same for all of one request, and as finely as the database keeps it.</summary>
    public DateTimeOffset Now { get; } =
        clock.GetUtcNow() is var now
            ? new(now.Ticks - now.Ticks % TimeSpan.TicksPerMicrosecond, TimeSpan.Zero)
            : default;

    public async Task<ClassPlace> Class(ClassId classId, Deed deed)
    {
        var place = Who.Role == Role.Teacher ? await schools.Place(classId, Who.SchoolId, Who.Adult) : null;
        return place is not null && May(deed, place.Part) ? place : throw Refused.NotFound();
    }

    /// <summary>Whether the asker may do something in a class of the school.</summary>
    public async Task<bool> MayIn(ClassId classId, Deed deed) =>
        Who.Role == Role.Teacher
        && await schools.Place(classId, Who.SchoolId, Who.Adult) is { } place
        && May(deed, place.Part);

    public async Task<ReaderHead> Reader(ReaderId readerId, Deed deed)
    {
        var reader = Who.Role == Role.Teacher ? await readers.Find(readerId, Who.SchoolId, Who.Adult) : null;
        return reader is not null && May(deed, reader.Part) ? reader : throw Refused.NotFound();
    }

    /// <summary>Something of the asker's school that belongs to no class.</summary>
    public void Library(Deed deed = Deed.SeeLibrary)
    {
        if (!May(deed, Part.None))
            throw Refused.NotFound();
    }

    /// <summary>The school, for whoever leads it.</summary>
    public async Task<School> Lead()
    {
        Library(Deed.LeadSchool);
        return await School();
    }

    /// <summary>The reader who asks, for their own work.</summary>
    public ReaderId Self() => May(Deed.DoOwnTicket, own: true) ? Who.Reader : throw Refused.NotFound();

    /// <summary>The asker's school.</summary>
    public async Task<School> School() => school ??= await schools.Get(Who.SchoolId);

    /// <summary>Today where the school is.</summary>
    public async Task<DateOnly> Today() => (await Clock()).DayOf(Now);

    /// <summary>The school's own days.</summary>
    public async Task<SchoolClock> Clock() => new((await School()).TimeZone);

    /// <summary>Now, today, and when today began, where the school is.</summary>
    public async Task<Moment> Moment() => (await Clock()).At(Now);

    /// <summary>When something was done that the reader's device tells of, perhaps long after.</summary>
    /// <param name="at">By the device's clock; the request says what that clock shows as it is sent.</param>
    public DateTimeOffset Given(DateTimeOffset at) =>
        GivenTime.Of(
            at,
            DateTimeOffset.TryParse(
                http.HttpContext?.Request.Headers[SentAt],
                CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal,
                out var sent
            )
                ? sent
                : null,
            Now
        );

    /// <summary>Whether the asker may do something with a reader they can see.</summary>
    public bool May(Deed deed, ReaderHead reader) => May(deed, reader.Part);

    /// <summary>Whether the asker may print or see one reader's secret: an assistant only where the class's teacher
    /// lets them.</summary>
    public bool MayPrintOne(Part part, bool assistantsPrint) =>
        May(Deed.PrintSecrets, part) || (assistantsPrint && May(Deed.PrintOneSecret, part));

    /// <summary>Whether the asker may do something with a class they can see.</summary>
    public bool May(Deed deed, ClassPlace place) => May(deed, place.Part);

    /// <summary>Whether the asker may do something with what is their own, or not.</summary>
    public bool May(Deed deed, bool own) => Who.May(deed, Part.None, own);

    private bool May(Deed deed, Part part) => Who.May(deed, part);
}
