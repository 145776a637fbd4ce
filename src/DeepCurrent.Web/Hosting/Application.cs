using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Absences;
using DeepCurrent.Web.Adults;
using DeepCurrent.Web.AssignmentResults;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Choosing;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Conferences;
using DeepCurrent.Web.Feedbacks;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Gradebooks;
using DeepCurrent.Web.Groups;
using DeepCurrent.Web.Guardians;
using DeepCurrent.Web.HomeMessages;
using DeepCurrent.Web.Imports;
using DeepCurrent.Web.KeptWords;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.Lists;
using DeepCurrent.Web.Live;
using DeepCurrent.Web.Marking;
using DeepCurrent.Web.Meetings;
using DeepCurrent.Web.Notes;
using DeepCurrent.Web.OralReading;
using DeepCurrent.Web.Papers;
using DeepCurrent.Web.Plans;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.Ratings;
using DeepCurrent.Web.Readers;
using DeepCurrent.Web.Readings;
using DeepCurrent.Web.Reports;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.Schools;
using DeepCurrent.Web.Signals;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Streams;
using DeepCurrent.Web.Talks;
using DeepCurrent.Web.Texts;
using DeepCurrent.Web.Tickets;
using DeepCurrent.Web.Voices;
using DeepCurrent.Web.WordLists;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.HttpOverrides;
using Npgsql;
using Serilog;
using Serilog.Events;

namespace DeepCurrent.Web.Hosting;

/// <summary>Puts the application together.</summary>
public static class Application
{
    private const long LargestBody = 1 << 20;

    /// <summary>What the application is made of.</summary>
    public static readonly IReadOnlyList<IFeature> Subjects =
    [
        new SignInFeature(),
        new SchoolsFeature(),
        new AdultsFeature(),
        new ClassesFeature(),
        new RosterFeature(),
        new ListsFeature(),
        new ReadersFeature(),
        new GuardiansFeature(),
        new HomeMessagesFeature(),
        new PrintFeature(),
        new ImportsFeature(),
        new TextsFeature(),
        new ChoosingFeature(),
        new WordListsFeature(),
        new PlansFeature(),
        new AssignmentsFeature(),
        new PapersFeature(),
        new StreamsFeature(),
        new TicketsFeature(),
        new ReadingsFeature(),
        new MarkingFeature(),
        new ResultsFeature(),
        new ReportsFeature(),
        new GradebooksFeature(),
        new ConferencesFeature(),
        new NotesFeature(),
        new RatingsFeature(),
        new TalksFeature(),
        new VoicesFeature(),
        new KeptWordsFeature(),
        new OralReadingFeature(),
        new LevelChecksFeature(),
        new AbsencesFeature(),
        new GoalsFeature(),
        new FeedbacksFeature(),
        new SignalsFeature(),
        new GroupsFeature(),
        new MeetingsFeature(),
        new ChangesFeature(),
        new LiveFeature(),
    ];

    public static async Task<int> Run(string[] args)
    {
        var app = Build(WebApplication.CreateBuilder(args));
        await Prepare(app);
        await app.RunAsync();
        return 0;
    }

    private static WebApplication Build(WebApplicationBuilder builder)
    {
        var connection = builder.Configuration.GetConnectionString("DeepCurrent")
            ?? throw new InvalidOperationException("ConnectionStrings:DeepCurrent is not set.");
        builder.Host.UseSerilog((_, log) => Log(log));
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = LargestBody;
            k.AddServerHeader = false;
        });
        var services = builder.Services;
        services.AddSingleton(_ => Database.Open(connection)).AddSingleton(TimeProvider.System);
        services.AddSingleton<IMailer, OutboxMailer>().AddSingleton<TidyStore>().AddWork<Tidying>();
        services.AddSingleton<KeyStore>().AddDataProtection().SetApplicationName("DeepCurrent");
        services
            .AddOptions<KeyManagementOptions>()
            .Configure<IServiceProvider>(
                (o, s) => o.XmlRepository = new ProtectionKeys(s.GetRequiredService<KeyStore>())
            );
        services.Configure<ForwardedHeadersOptions>(o => Believe(o, builder.Configuration));
        services.AddSignalR();
        services.AddOpenApi(o => ApiDocument.Describe(o)); // Not a method group: comments are read in only for a lambda.
        services.AddResponseCompression(o => o.EnableForHttps = true);
        services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            PlainJson.Harden(o.SerializerOptions);
        });
        foreach (var subject in Subjects)
            subject.Add(services, builder.Configuration);
        return Route(builder.Build());
    }

    private static void Log(LoggerConfiguration log) =>
        log
            .MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
            .MinimumLevel.Override("System", LogEventLevel.Warning)
            // It warns that a token is not cached, which is what is wanted.
            .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", LogEventLevel.Error)
            .Enrich.FromLogContext()
            .WriteTo.Console(
                outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj} {RequestId}{NewLine}{Exception}"
            );

    /// <summary>Behind a proxy that speaks https for us: who asks and how is what the proxy says. Only one on this
    /// machine is believed, and those that are named.</summary>
    private static void Believe(ForwardedHeadersOptions o, IConfiguration settings)
    {
        o.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
        foreach (var proxy in settings.GetSection("Proxies").Get<string[]>() ?? [])
            o.KnownProxies.Add(System.Net.IPAddress.Parse(proxy));
    }

    private static WebApplication Route(WebApplication app)
    {
        app.UseForwardedHeaders();
        app.UseResponseCompression();
        app.Use(Harden);
        app.UsePackedFiles();
        app.UseDefaultFiles();
        app.UseStaticFiles(
            new StaticFileOptions
            {
                ContentTypeProvider = PackedFiles.Types,
                OnPrepareResponse = c =>
                {
                    PackedFiles.Say(c.Context);
                    c.Context.Response.Headers.CacheControl = c.Context.Request.Path.StartsWithSegments("/assets")
                        ? "public, max-age=31536000, immutable"
                        : "no-cache";
                },
            }
        );
        app.UseRouting();
        app.UseMiddleware<Problems>();
        app.UseAuthentication();
        app.UseMiddleware<OwnWork>();
        app.UseAuthorization();
        // After the session is known and found to be enough: a token belongs to whoever is signed in, and who is no
        // longer signed in is told so first.
        app.Use(Guard);
        var api = app.MapGroup("/api").RequireAuthorization();
        foreach (var subject in Subjects)
            subject.Map(api);
        app.MapOpenApi().RequireAuthorization(p => p.RequireRole(nameof(Role.Teacher)));
        app.MapGet("/health/live", () => "live").ExcludeFromDescription();
        app.MapGet("/health/ready", Ready).ExcludeFromDescription();
        app.Map("/api/{**rest}", string () => throw Refused.NotFound()).ExcludeFromDescription();
        app.MapFallbackToFile("index.html");
        return app;
    }

    private static Task Harden(HttpContext http, RequestDelegate next)
    {
        var h = http.Response.Headers;
        h.XContentTypeOptions = "nosniff";
        h.XFrameOptions = "DENY";
        h["Referrer-Policy"] = "no-referrer";
        h.ContentSecurityPolicy =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; media-src "
            + "'self' blob:; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";
        return next(http);
    }

    /// <summary>Asks for the page's token wherever something is written, and lets nothing the API says stay in a shared
    /// cache: it is children's data.</summary>
    private static async Task Guard(HttpContext http, RequestDelegate next)
    {
        var path = http.Request.Path;
        if (path.StartsWithSegments("/api"))
        {
            if (!HttpMethods.IsGet(http.Request.Method) && !path.StartsWithSegments("/api/live"))
                await http.RequestServices.GetRequiredService<IAntiforgery>().ValidateRequestAsync(http);
            http.Response.Headers.CacheControl = "no-store";
        }
        await next(http);
    }

    private static async Task<IResult> Ready(NpgsqlDataSource db, Channels channels)
    {
        await using var c = await db.OpenConnectionAsync();
        return channels.All ? Results.Text("ready") : Results.StatusCode(StatusCodes.Status503ServiceUnavailable);
    }

    /// <summary>Brings the schema up to date, fills the library, and loads the demo world where that is asked for and
    /// there is no school.</summary>
    private static async Task Prepare(WebApplication app)
    {
        var connection = app.Configuration.GetConnectionString("DeepCurrent")!;
        Database.Migrate(connection);
        var services = app.Services;
        if (app.Configuration["Content:Folder"] is { Length: > 0 } folder)
            await services.GetRequiredService<ContentLoader>().Load(folder);
        if (app.Configuration.GetValue<bool>("Demo:Load") && !await services.GetRequiredService<SchoolStore>().Any())
            await DemoLoader.Load(services, connection);
    }
}
