using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Decks;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.Imports;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Lists;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Demo;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.Adults;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Choosing;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Decks;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Groups;
using DeepCurrent.Web.Guardians;
using DeepCurrent.Web.Imports;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.Lists;
using DeepCurrent.Web.Live;
using DeepCurrent.Web.OralReading;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.Readers;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.Schools;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;
using DeepCurrent.Web.Tickets;
using FluentValidation;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.HttpOverrides;
using Npgsql;
using Serilog;
using Serilog.Events;

namespace DeepCurrent.Web.Hosting;

/// <summary>Puts the application together.</summary>
public static class Application
{
    private const long LargestBody = 1 << 20;
    private static readonly TimeSpan SignedInFor = TimeSpan.FromHours(12);

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
        builder.Host.UseSerilog(
            (_, log) =>
                log
                    .MinimumLevel.Information()
                    .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
                    .MinimumLevel.Override("System", LogEventLevel.Warning)
                    // It warns that a token is not cached, which is what is wanted.
                    .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", LogEventLevel.Error)
                    .Enrich.FromLogContext()
                    .WriteTo.Console(
                        outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj} {RequestId}{NewLine}{Exception}"
                    )
        );
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = LargestBody;
            k.AddServerHeader = false;
        });
        var services = builder.Services;
        services.AddSingleton(_ => Database.Open(connection));
        services.AddSingleton(TimeProvider.System);
        services
            .AddSingleton<SchoolStore>()
            .AddSingleton<ReaderStore>()
            .AddSingleton<TextStore>()
            .AddSingleton<TextKeeper>()
            .AddSingleton<ShelfStore>()
            .AddSingleton<LibraryShelf>()
            .AddSingleton<AssignmentStore>()
            .AddSingleton<TicketStore>()
            .AddSingleton<MarkingStore>()
            .AddSingleton<SetAsideStore>()
            .AddSingleton<PictureStore>()
            .AddSingleton<UseStore>()
            .AddSingleton<CopyStore>()
            .AddSingleton<ChoosingStore>()
            .AddSingleton<DeckStore>()
            .AddSingleton<ReadingStore>()
            .AddSingleton<RunningRecordStore>()
            .AddSingleton<CheckStore>()
            .AddSingleton<SittingStore>()
            .AddSingleton<WindowStore>()
            .AddSingleton<AnsweredDepths>()
            .AddSingleton<DepthKeeper>()
            .AddSingleton<GoalStore>()
            .AddSingleton<GroupStore>()
            .AddSingleton<ChangeStore>()
            .AddSingleton<KeyStore>()
            .AddSingleton<AdultStore>()
            .AddSingleton<TryStore>()
            .AddSingleton<SessionStore>()
            .AddSingleton<TakingInStore>()
            .AddSingleton<YearStore>()
            .AddSingleton<RosterStore>()
            .AddSingleton<RosterWriter>()
            .AddSingleton<MemberStore>()
            .AddSingleton<MergeStore>()
            .AddSingleton<RecordStore>()
            .AddSingleton<ClassListStore>()
            .AddSingleton<TransferStore>()
            .AddSingleton<GuardianStore>()
            .AddSingleton<ListStore>()
            .AddSingleton<LookStore>()
            .AddSingleton<ImportStore>();
        services
            .AddSingleton<ImportWork>()
            .AddSingleton<IMailer, OutboxMailer>()
            .AddHostedService<ImportRunner>()
            .AddSingleton<TidyStore>()
            .AddHostedService<Tidying>();
        services.AddSingleton(
            builder.Configuration.GetSection("RosterSource").Get<RosterSourceSettings>()
                ?? new("District roster", "", "", "", "")
        );
        services.AddHttpClient<IRosterSource, HttpRosterSource>(c => c.Timeout = TimeSpan.FromMinutes(2));
        services.AddSingleton(builder.Configuration.GetSection("Listener").Get<ListenerSettings>() ?? new());
        services.AddHttpClient<IListener, HttpListening>(c => c.Timeout = Timeout.InfiniteTimeSpan);
        services.AddHostedService<ListeningWork>();
        services
            .AddSingleton<IUndo, UndoAssigned>()
            .AddSingleton<IUndo, UndoGoals>()
            .AddSingleton<IUndo, UndoGroups>()
            .AddSingleton<IUndo, UndoMerged>()
            .AddSingleton<IUndo, UndoEvidence>()
            .AddSingleton<IUndo, UndoCheckGiven>()
            .AddSingleton<IUndo, UndoCheckAgain>()
            .AddSingleton<IUndo, UndoCheckWithdrawn>();
        services.AddScoped<GuardianCodes>().AddScoped<PrintRoom>();
        services
            .AddSingleton<Secrets>()
            .AddSingleton<SignInLimits>()
            .AddSingleton<Devices>()
            .AddSingleton<ContentLoader>();
        services
            .AddScoped<Desk>()
            .AddScoped<RosterDesk>()
            .AddScoped<GoalBook>()
            .AddScoped<RecordDesk>()
            .AddScoped<CheckDesk>()
            .AddHttpContextAccessor();
        services
            .AddSingleton<IValidator<NewReaderRequest>, NewReaderRules>()
            .AddSingleton<IValidator<FirstRunRequest>, FirstRunRules>();
        services
            .AddSingleton<Notices>()
            .AddSingleton<AnswerWriter>()
            .AddSingleton<LiveLines>()
            .AddHostedService<NoticeSender>()
            .AddHostedService<EndedSessions>();
        services
            .AddHostedService<NoticeListener>()
            .AddHostedService<ShelfListener>()
            .AddHostedService<DepthsFromAnswers>()
            .AddHostedService<ChecksClosing>()
            .AddHostedService<LevelsOfToday>();
        services.AddDataProtection().SetApplicationName("DeepCurrent");
        services
            .AddOptions<KeyManagementOptions>()
            .Configure<IServiceProvider>(
                (o, s) => o.XmlRepository = new ProtectionKeys(s.GetRequiredService<KeyStore>())
            );
        services.AddAntiforgery(o =>
        {
            o.HeaderName = "X-XSRF-TOKEN";
            o.Cookie.Name = "dc-guard";
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services
            .AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme)
            .AddCookie(o =>
            {
                o.Cookie.Name = "dc-session";
                o.Cookie.HttpOnly = true;
                o.Cookie.SameSite = SameSiteMode.Lax;
                o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
                o.ExpireTimeSpan = SignedInFor;
                o.SlidingExpiration = true;
                o.Events.OnValidatePrincipal = Who.Validate;
                // An API says 401 or 404; it does not send a program to a sign-in page.
                o.Events.OnRedirectToLogin = c =>
                    Problems.Write(
                        c.HttpContext,
                        StatusCodes.Status401Unauthorized,
                        "signed-out",
                        "You were signed out. Sign in again to continue."
                    );
                o.Events.OnRedirectToAccessDenied = c =>
                {
                    c.Response.StatusCode = StatusCodes.Status404NotFound;
                    return Task.CompletedTask;
                };
            });
        services.AddAuthorizationBuilder().SetFallbackPolicy(null);
        // Behind a proxy that speaks https for us: who asks and how is what the proxy says. Only one on this machine is
        // believed, and those that are named.
        services.Configure<ForwardedHeadersOptions>(o =>
        {
            o.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
            foreach (var proxy in builder.Configuration.GetSection("Proxies").Get<string[]>() ?? [])
                o.KnownProxies.Add(System.Net.IPAddress.Parse(proxy));
        });
        services.AddSignalR();
        services.AddOpenApi(o => ApiDocument.Describe(o)); // Not a method group: comments are read in only for a lambda.
        services.AddResponseCompression(o => o.EnableForHttps = true);
        services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            PlainJson.Harden(o.SerializerOptions);
        });
        return Route(builder.Build());
    }

    private static WebApplication Route(WebApplication app)
    {
        app.UseForwardedHeaders();
        app.UseResponseCompression();
        app.Use(
            (http, next) =>
            {
                var h = http.Response.Headers;
                h.XContentTypeOptions = "nosniff";
                h.XFrameOptions = "DENY";
                h["Referrer-Policy"] = "no-referrer";
                h.ContentSecurityPolicy =
                    "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; media-src "
                    + "'self' blob:; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";
                return next();
            }
        );
        app.UseDefaultFiles();
        app.UseStaticFiles(
            new StaticFileOptions
            {
                OnPrepareResponse = c =>
                    c.Context.Response.Headers.CacheControl = c.Context.Request.Path.StartsWithSegments("/assets")
                        ? "public, max-age=31536000, immutable"
                        : "no-cache",
            }
        );
        app.UseRouting();
        app.UseMiddleware<Problems>();
        app.UseAuthentication();
        app.UseMiddleware<OwnWork>();
        app.UseAuthorization();
        // After the session is known and found to be enough: a token belongs to whoever is signed in, and who is no
        // longer signed in is told so first.
        app.Use(
            async (http, next) =>
            {
                if (
                    http.Request.Path.StartsWithSegments("/api")
                    && !HttpMethods.IsGet(http.Request.Method)
                    && !http.Request.Path.StartsWithSegments("/api/live")
                )
                    await http.RequestServices.GetRequiredService<IAntiforgery>().ValidateRequestAsync(http);
                await next(http);
            }
        );
        // Children's data: nothing the API says may stay in a shared cache.
        app.Use(
            (http, next) =>
            {
                if (http.Request.Path.StartsWithSegments("/api"))
                    http.Response.Headers.CacheControl = "no-store";
                return next();
            }
        );

        var api = app.MapGroup("/api").RequireAuthorization();
        SignInEndpoints.Map(api);
        ClassEndpoints.Map(api);
        ClassSettings.Map(api);
        ChoosingEndpoints.Map(api);
        DeckEndpoints.Map(api);
        MemberEndpoints.Map(api);
        ListEndpoints.Map(api);
        JoinEndpoints.Map(api);
        TakingInEndpoints.Map(api);
        ReaderListEndpoints.Map(api);
        PrintEndpoints.Map(api);
        GuardianEndpoints.Map(api);
        AdultEndpoints.Map(api);
        SchoolEndpoints.Map(api);
        YearEndpoints.Map(api);
        RecordEndpoints.Map(api);
        ImportEndpoints.Map(api);
        ReaderEndpoints.Map(api);
        EvidenceEndpoints.Map(api);
        RunningRecordEndpoints.Map(api);
        CheckEndpoints.Map(api);
        MyCheckEndpoints.Map(api);
        WindowEndpoints.Map(api);
        TextEndpoints.Map(api);
        LibraryEndpoints.Map(api);
        OwnTextEndpoints.Map(api);
        ReadingEndpoints.Map(api);
        AssignmentEndpoints.Map(api);
        BringEndpoints.Map(api);
        CopyEndpoints.Map(api);
        QuizEndpoints.Map(api);
        MarkingEndpoints.Map(api);
        MyEndpoints.Map(api);
        SetAsideEndpoints.Map(api);
        GoalEndpoints.Map(api);
        GroupEndpoints.Map(api);
        ChangeEndpoints.Map(api);
        app.MapHub<LiveHub>("/api/live");
        app.MapOpenApi().RequireAuthorization(p => p.RequireRole(nameof(Role.Teacher)));
        app.MapGet("/health/live", () => "live").ExcludeFromDescription();
        app.MapGet("/health/ready", async (NpgsqlDataSource db) =>
            {
                await using var c = await db.OpenConnectionAsync();
                return "ready";
            })
            .ExcludeFromDescription();
        app.Map("/api/{**rest}", () =>
            {
                throw Refused.NotFound();
            })
            .ExcludeFromDescription();
        app.MapFallbackToFile("index.html");
        return app;
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
            await LoadDemo(services, connection);
    }

    private static async Task LoadDemo(IServiceProvider services, string connection)
    {
        // Thousands of small commits: waiting for the disk at each would take minutes, and a demo world that is lost is
        // made again.
        await using var db = Database.Open(
            new NpgsqlConnectionStringBuilder(connection) { Options = "-c synchronous_commit=off" }.ConnectionString
        );
        var texts = new TextStore(db);
        var notices = new Notices(db);
        var world = new DemoWorld(
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            texts,
            new(db, texts, notices),
            new(db, texts, notices),
            new(db, texts),
            new(db),
            new(db, notices),
            new(db),
            new(db),
            new(db, texts, notices)
        );
        var secrets = services.GetRequiredService<Secrets>();
        await world.Load(
            secrets.Hash,
            secrets.Seal,
            services.GetRequiredService<TimeProvider>().GetUtcNow(),
            Console.WriteLine
        );
        await services.GetRequiredService<AnsweredDepths>().Recompute();
    }
}
