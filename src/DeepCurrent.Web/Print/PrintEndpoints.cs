using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Guardians;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Schools;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Print;

/// <summary>Sign-in cards, lists and guardians' letters as PDF.</summary>
public static class PrintEndpoints
{
    private const string Pdf = "application/pdf";

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/print/{form}.pdf", OfClass).Produces<byte[]>(contentType: Pdf);
        api.MapGet("/school/print/{form}.pdf", OfSchool).Produces<byte[]>(contentType: Pdf);
    }

    /// <param name="readers">Ids of some readers, with commas between; all of the class where it is left out.</param>
    private static async Task<IResult> OfClass(
        ClassId classId,
        PrintForm form,
        string? readers,
        string? paper,
        Desk desk,
        MemberStore members,
        RosterStore rosters,
        PrintRoom room
    )
    {
        // A letter holds a code that lets somebody in: only who may change the roster hands those out.
        var place = await desk.Class(classId, form is PrintForm.Letters ? Deed.ChangeRoster : Deed.PrintOneSecret);
        var wanted = Wanted<ReaderId>(readers);
        if (
            !desk.May(Deed.PrintSecrets, place)
            && !(form is PrintForm.Cards && wanted?.Count == 1 && desk.MayPrintOne(place.Part, place.AssistantsPrint))
        )
            throw Refused.NotFound();
        var here = (await members.Of(classId)).Where(m => m.Until is null).ToList();
        var ids = here.Select(m => m.Id).Where(id => wanted is null || wanted.Contains(id)).ToList();
        var found = (await rosters.Readers(ids, place.SchoolId)).ToDictionary(r => r.Id);
        return await room.Print(
            form,
            paper,
            CalledNames.Of(here.Select(m => (m.Id, m.GivenName, m.FamilyName))),
            [.. ids.Select(id => (place.Name, place.Code, found[id]))],
            $"{place.Name} {form.ToString().ToLowerInvariant()}"
        );
    }

    /// <param name="classes">Ids of some classes, with commas between; the whole school where it is left out.</param>
    private static async Task<IResult> OfSchool(
        PrintForm form,
        string? classes,
        string? paper,
        Desk desk,
        RosterStore rosters,
        PrintRoom room
    )
    {
        var school = await desk.Lead();
        var wanted = Wanted<ClassId>(classes);
        var state = await rosters.Load(school.Id);
        var all = state
            .Enrolments.Values.Where(e =>
                e.To is null
                && state.Readers.TryGetValue(e.ReaderId, out var r)
                && !r.Left
                && state.Classes.TryGetValue(e.ClassId, out var c)
                && !c.Closed
                && (wanted is null || wanted.Contains(c.Id))
            )
            .Select(e => (Class: state.Classes[e.ClassId], Reader: state.Readers[e.ReaderId]))
            .OrderByName(x => x.Class.Name)
            .ThenByName(x => x.Reader.GivenName)
            .DistinctBy(x => x.Reader.Id)
            .ToList();
        var called = all.GroupBy(x => x.Class.Id)
            .SelectMany(g => CalledNames.Of(g.Select(x => (x.Reader.Id, x.Reader.GivenName, x.Reader.FamilyName))))
            .ToDictionary();
        return await room.Print(
            form,
            paper,
            called,
            [.. all.Select(x => (x.Class.Name, x.Class.Code, x.Reader))],
            $"{school.Name} {form.ToString().ToLowerInvariant()}"
        );
    }

    private static HashSet<T>? Wanted<T>(string? list)
        where T : struct, IId<T> =>
        list
            ?.Split(',', StringSplitOptions.RemoveEmptyEntries)
            .Select(text => Ids.TryParse<T>(text, out var id) ? id : default)
            .ToHashSet();
}

/// <summary>What is printed for readers.</summary>
public enum PrintForm
{
    Cards,
    List,
    Letters,
}

/// <summary>Puts what is printed together.</summary>
public sealed class PrintRoom(
    Desk desk,
    Secrets secrets,
    GuardianCodes codes,
    LookStore looks,
    IHttpContextAccessor http
)
{
    private static readonly string[] Marks = [.. Drawings.All.Keys];

    public async Task<IResult> Print(
        PrintForm form,
        string? paper,
        IReadOnlyDictionary<ReaderId, string> called,
        IReadOnlyList<(string Class, string Code, RosterReader Reader)> readers,
        string name
    )
    {
        if (readers.Count == 0)
            throw Refused.Conflict("nobody", $"No readers to print for. Add readers to the class first.");
        var school = await desk.School();
        var size = string.Equals(paper, "letter", StringComparison.OrdinalIgnoreCase) ? PaperSize.Letter : PaperSize.A4;
        var address = Address(http.HttpContext!);
        await Noted(school.Id, form, readers);
        using var body = new MemoryStream();
        IEnumerable<(PrintedClass, PrintedReader)> Printed() =>
            readers.Select(r =>
                (
                    new PrintedClass(school.Name, r.Class, r.Code, $"{address}/read"),
                    Reader(r.Reader, called[r.Reader.Id], r.Code, address, school.SurnamesOnCards)
                )
            );
        switch (form)
        {
            case PrintForm.Cards:
                SignInPrint.Cards(body, size, Printed());
                break;
            case PrintForm.List:
                SignInPrint.List(body, size, Printed());
                break;
            case PrintForm.Letters:
                LetterPrint.Write(body, size, await Letters(school, readers, address));
                break;
            default:
                throw Refused.NotFound();
        }
        return Results.File(body.ToArray(), "application/pdf", $"{name}.pdf");
    }

    private Task Noted(
        SchoolId school,
        PrintForm form,
        IReadOnlyList<(string Class, string Code, RosterReader Reader)> readers
    ) =>
        looks.Add(
            school,
            desk.Who.Adult,
            desk.Now,
            form switch
            {
                PrintForm.Cards => LookKind.CardsPrinted,
                PrintForm.List => LookKind.ListPrinted,
                _ => LookKind.LettersPrinted,
            },
            readers.Count == 1 ? readers[0].Reader.Id : null,
            Counted.Readers(readers.Count)
        );

    /// <summary>Sends the letter, as it would be printed, to the addresses of guardians that are on the
    /// roster.</summary>
    /// <returns>How many letters were sent.</returns>
    public async Task<int> SendLetters(
        IReadOnlyList<(string Class, string Code, RosterReader Reader)> readers,
        IMailer mailer
    )
    {
        var reached = readers.Where(r => r.Reader.GuardianMail is not null).ToList();
        if (reached.Count == 0)
            throw Refused.Conflict("nobody", $"None of these readers has a guardian’s email on the roster.");
        var school = await desk.School();
        var letters = await Letters(school, reached, Address(http.HttpContext!));
        var sent = 0;
        foreach (var ((_, _, reader), letter) in reached.Zip(letters))
        foreach (var to in reader.GuardianMail!.Split(", "))
        {
            await mailer.Send(school.Id, to, letter.Words.Title, $"{letter.Words.Body}\n\n{letter.Link}");
            sent++;
        }
        await looks.Add(
            school.Id,
            desk.Who.Adult,
            desk.Now,
            LookKind.LettersMailed,
            reached.Count == 1 ? reached[0].Reader.Id : null,
            Counted.Readers(reached.Count)
        );
        return sent;
    }

    /// <summary>Where the application is, as the asker reached it.</summary>
    public static string Address(HttpContext http) => $"{http.Request.Scheme}://{http.Request.Host}";

    private PrintedReader Reader(RosterReader r, string called, string code, string address, bool surnames)
    {
        var secret = secrets.Open(r.Secret);
        return new(
            // Whoever shows surnames tells two of one name apart by them.
            surnames ? r.GivenName : called,
            surnames ? r.FamilyName : "",
            r.UserName,
            r.SecretKind == SecretKind.Pictures ? secret.Split(' ') : [],
            r.SecretKind == SecretKind.Pictures ? "" : secret,
            $"{address}/read/{code}?tile={r.Id}",
            MarkOf(r.Id)
        );
    }

    /// <summary>The picture of a reader's name tile; the pages work it out the same way.</summary>
    public static string MarkOf(ReaderId id) =>
        Marks[id.ToString().Aggregate(7, (sum, c) => (sum * 31 + c) % 9973) % Marks.Length];

    private async Task<IReadOnlyList<Letter>> Letters(
        Core.Schools.School school,
        IReadOnlyList<(string Class, string Code, RosterReader Reader)> readers,
        string address
    )
    {
        if (!school.GuardiansAllowed)
            throw Refused.Conflict(
                "no-guardians",
                $"Guardians cannot register at this school. A school lead can change that."
            );
        var open = await codes.For([.. readers.Select(r => r.Reader.Id)], school.Id);
        return
        [
            .. readers.Select(r =>
            {
                var (code, until) = open[r.Reader.Id];
                var language = Languages.Of(r.Reader.Details[ReaderDetail.HomeLanguage]);
                var words = SchoolLetters.Of(school, language);
                return new Letter(
                    school.Name,
                    words.With(
                        new Dictionary<string, string>
                        {
                            ["{reader}"] = r.Reader.GivenName,
                            ["{class}"] = r.Class,
                            ["{school}"] = school.Name,
                            ["{code}"] = code,
                            ["{address}"] = $"{address}/guardian",
                            ["{until}"] = Catalogue.Of(language).Say($"{until}"),
                            ["{teacher}"] = desk.Who.Name,
                        }
                    ),
                    code,
                    $"{address}/guardian#{code}",
                    language
                );
            }),
        ];
    }
}
