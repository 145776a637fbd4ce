using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Classes;

/// <param name="Id">Made by the client: the same request again is the same class.</param>
/// <param name="Grade">0 (kindergarten) to 12; null for a class of several grades.</param>
public sealed record NewClassRequest(
    string Name,
    DateOnly? FirstDay,
    DateOnly? LastDay,
    ClassId? Id = null,
    int? Grade = null
);

public sealed record MadeClass(ClassId Id, ChangeId? ChangeId);

/// <param name="Grade">0 (kindergarten) to 12; null for a class of several grades.</param>
public sealed record ClassDetailsRequest(string Name, DateOnly? FirstDay, DateOnly? LastDay, int? Grade = null);

/// <param name="WithReaders">Readers come along; otherwise only the teachers do.</param>
public sealed record CopyClassRequest(string Name, bool WithReaders, ClassId? Id = null);

/// <param name="Allowed">Assistants may print one reader's card at a time.</param>
public sealed record AssistantsPrintRequest(bool Allowed);

public sealed record PoolRequest(PoolShown Pool);

/// <param name="Outside">Which reading elsewhere counts for word goals.</param>
public sealed record OutsideRequest(OutsideCounts Outside);

public sealed record ClassAdultRequest(AdultId AdultId, [property: JsonRequired] Part Role);

public sealed record ColleagueView(AdultId Id, string Name);

/// <summary>Making, renaming, closing and copying classes, their code, and who teaches them.</summary>
public static class ClassSettings
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes", Make);
        api.MapPut("/classes/{classId:guid}", Change);
        api.MapPost("/classes/{classId:guid}/code", NewCode);
        api.MapPost(
            "/classes/{classId:guid}/close",
            (ClassId classId, Desk desk, RosterDesk roster, RosterStore rosters) =>
                Close(classId, closed: true, desk, roster, rosters)
        );
        api.MapPost(
            "/classes/{classId:guid}/reopen",
            (ClassId classId, Desk desk, RosterDesk roster, RosterStore rosters) =>
                Close(classId, closed: false, desk, roster, rosters)
        );
        api.MapPost("/classes/{classId:guid}/copy", Copy);
        api.MapPut("/classes/{classId:guid}/adults", PutAdult);
        api.MapDelete("/classes/{classId:guid}/adults/{adultId:guid}", RemoveAdult);
        api.MapGet("/colleagues", Colleagues);
        MapChoices(api);
    }

    /// <summary>What a class's teachers choose for it.</summary>
    private static void MapChoices(RouteGroupBuilder api)
    {
        api.MapPut(
            "/classes/{classId:guid}/assistants-print",
            async (ClassId classId, AssistantsPrintRequest request, Desk desk, SchoolStore schools) =>
            {
                await desk.Class(classId, Deed.ChangeRoster);
                await schools.LetAssistantsPrint(classId, request.Allowed);
            }
        );
        api.MapPut(
            "/classes/{classId:guid}/pool",
            async (ClassId classId, PoolRequest request, Desk desk, SchoolStore schools) =>
            {
                await desk.Class(classId, Deed.ChangeRoster);
                await schools.ShowPool(classId, request.Pool);
            }
        );
        api.MapPut(
            "/classes/{classId:guid}/outside",
            async (ClassId classId, OutsideRequest request, Desk desk, SchoolStore schools) =>
            {
                await desk.Class(classId, Deed.ChangeRoster);
                await schools.CountOutside(classId, request.Outside);
            }
        );
    }

    private static async Task<MadeClass> Make(
        NewClassRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        desk.Library(Deed.MakeClass);
        if (request.Id is { } again && await rosters.Class(again, desk.Who.SchoolId) is { } there)
            return new(there.Id, null);
        var name = Name(request.Name, request.FirstDay, request.LastDay, request.Grade);
        var makers = await roster.Makers();
        var made = new RosterClass(
            request.Id ?? ClassId.New(),
            null,
            (await roster.Year()).Id,
            name,
            makers.ClassCode(),
            request.FirstDay,
            request.LastDay,
            Closed: false
        )
        {
            Grade = request.Grade,
        };
        var steps = ChangeSet.Nothing with
        {
            Classes = [new(null, made)],
            Teachings = [new(null, new Teaching(TeachingId.New(), made.Id, desk.Who.Adult, Part.Teacher))],
        };
        // Listed with the school and not with the class, which is gone when this is taken back.
        return new(made.Id, await roster.Apply(steps, null, $"Created class {name}"));
    }

    private static async Task<RosterChanged> Change(
        ClassId classId,
        ClassDetailsRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var c = await Class(classId, desk, rosters);
        var name = Name(request.Name, request.FirstDay, request.LastDay, request.Grade);
        var next = c with
        {
            Name = name,
            FirstDay = request.FirstDay,
            LastDay = request.LastDay,
            Grade = request.Grade,
        };
        return await Put(roster, c, next, c.Name == name ? (Message)$"Changed {name}" : $"Renamed {c.Name} to {name}");
    }

    private static async Task<RosterChanged> NewCode(ClassId classId, Desk desk, RosterDesk roster, RosterStore rosters)
    {
        var c = await Class(classId, desk, rosters);
        var code = (await roster.Makers()).ClassCode();
        return await Put(roster, c, c with { Code = code }, $"Replaced the code of {c.Name} with {code}");
    }

    private static async Task<RosterChanged> Close(
        ClassId classId,
        bool closed,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var c = await Class(classId, desk, rosters);
        return await Put(
            roster,
            c,
            c with
            {
                Closed = closed,
            },
            closed ? (Message)$"Archived {c.Name}" : $"Restored {c.Name}"
        );
    }

    private static async Task<MadeClass> Copy(
        ClassId classId,
        CopyClassRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        MemberStore members
    )
    {
        var c = await Class(classId, desk, rosters);
        if (request.Id is { } again && await rosters.Class(again, desk.Who.SchoolId) is { } there)
            return new(there.Id, null);
        var name = Name(request.Name, null, null, null);
        var made = new RosterClass(
            request.Id ?? ClassId.New(),
            null,
            c.YearId,
            name,
            (await roster.Makers()).ClassCode(),
            c.FirstDay,
            c.LastDay,
            Closed: false
        )
        {
            Grade = c.Grade,
        };
        var today = await desk.Today();
        var readers = request.WithReaders ? (await members.Of(classId)).Where(m => m.Until is null) : [];
        var steps = ChangeSet.Nothing with
        {
            Classes = [new(null, made)],
            Teachings =
            [
                .. (await rosters.Teachings(classId)).Select(t => new Step<Teaching>(
                    null,
                    new Teaching(TeachingId.New(), made.Id, t.AdultId, t.Role)
                )),
            ],
            Enrolments =
            [
                .. readers.Select(m => new Step<Enrolment>(
                    null,
                    new Enrolment(EnrolmentId.New(), null, made.Id, m.Id, today, null)
                )),
            ],
        };
        return new(made.Id, await roster.Apply(steps, null, $"Duplicated {c.Name} as {name}"));
    }

    private static async Task<RosterChanged> PutAdult(
        ClassId classId,
        ClassAdultRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var c = await Class(classId, desk, rosters);
        if (!Parts.Given.Contains(request.Role))
            throw Refused.Field("role", $"Choose teacher, co-teacher or assistant.");
        var adult = await rosters.Adult(request.AdultId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var teachings = await rosters.Teachings(classId);
        var known = teachings.FirstOrDefault(t => t.AdultId == adult.Id);
        var next = known is null
            ? new Teaching(TeachingId.New(), classId, adult.Id, request.Role)
            : known with
            {
                Role = request.Role,
            };
        if (known is { Role: Part.Teacher } && next.Role is not Part.Teacher)
            KeepOne(teachings, known);
        return await MemberEndpoints.Done(
            roster,
            next == known ? ChangeSet.Nothing : ChangeSet.Nothing with { Teachings = [new(known, next)] },
            classId,
            $"Made {adult.Name} {Parts.Name(request.Role)} of {c.Name}"
        );
    }

    private static async Task<RosterChanged> RemoveAdult(
        ClassId classId,
        AdultId adultId,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var c = await Class(classId, desk, rosters);
        var teachings = await rosters.Teachings(classId);
        var known = teachings.FirstOrDefault(t => t.AdultId == adultId) ?? throw Refused.NotFound();
        if (known.Role is Part.Teacher)
            KeepOne(teachings, known);
        var adult = await rosters.Adult(adultId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return await MemberEndpoints.Done(
            roster,
            ChangeSet.Nothing with
            {
                Teachings = [new(known, null)],
            },
            classId,
            $"Removed {adult.Name} as {Parts.Name(known.Role)} from {c.Name}"
        );
    }

    private static async Task<IReadOnlyList<ColleagueView>> Colleagues(Desk desk, Data.Adults.AdultStore adults)
    {
        desk.Library(Deed.FindReaders);
        return
        [
            .. (await adults.Staff(desk.Who.SchoolId, desk.Now))
                .Where(a => !a.LeftSchool)
                .Select(a => new ColleagueView(a.Id, a.Name)),
        ];
    }

    private static void KeepOne(IReadOnlyList<Teaching> teachings, Teaching goes)
    {
        if (!teachings.Any(t => t.Role is Part.Teacher && t.Id != goes.Id))
            throw Refused.Conflict("last-teacher", $"A class needs a teacher. Add another one first.");
    }

    private static async Task<RosterClass> Class(ClassId classId, Desk desk, RosterStore rosters)
    {
        await desk.Class(classId, Deed.ChangeRoster);
        return (await rosters.Class(classId, desk.Who.SchoolId))!;
    }

    private static Task<RosterChanged> Put(
        RosterDesk roster,
        RosterClass before,
        RosterClass after,
        Message sentence
    ) =>
        MemberEndpoints.Done(
            roster,
            before == after ? ChangeSet.Nothing : ChangeSet.Nothing with { Classes = [new(before, after)] },
            before.Id,
            sentence
        );

    private static string Name(string? asked, DateOnly? first, DateOnly? last, int? grade)
    {
        var name = Names.Tidy(asked);
        new Faults()
            .If(name.Length is 0 or > 60, "name", $"Enter a class name of 60 letters or fewer.")
            .If(last < first, "lastDay", $"The class ends before it starts.")
            .If(grade is < 0 or > 12, "grade", $"Choose a grade from K to 12.")
            .Refuse();
        return name;
    }
}
