using System.Net.Sockets;
using System.Text.Json;
using DeepCurrent.Data.Roster;
using DeepCurrent.Formats;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc;
using Npgsql;

namespace DeepCurrent.Web.Hosting;

/// <summary>Turns refusals and failures into problem details (RFC 9457).</summary>
public sealed class Problems(RequestDelegate next, ILogger<Problems> log)
{
    private static readonly Message TooLarge =
            $"File too large. Nothing changed. Choose a list of up to 20 MB, a sound of 30 MB or a roster zip of 60 MB.",
        StalePage = $"Your sign-in has changed. Reload the page and try again.",
        NoSuchValue = $"This value is not allowed here.",
        NoSuchSign = $"One character cannot be saved. Type it again.",
        Away = $"The database does not answer. Saved work is safe. Try again in a moment.",
        Failed = $"Something went wrong on the server. Saved work is safe. Try again.";

    public async Task InvokeAsync(HttpContext http)
    {
        try
        {
            await next(http);
        }
        catch (Exception e) when (Refusal(e) is not null || !http.RequestAborted.IsCancellationRequested)
        {
            Log(e);
            var said = Refusal(e) ?? new(StatusCodes.Status500InternalServerError, "failed", Failed);
            await Write(http, said.Status, said.Code, said.Said, said.Fields);
        }
    }

    /// <summary>What is said of a failure that is understood; null of any other.</summary>
    private static Refused? Refusal(Exception e) =>
        e switch
        {
            Refused refused => refused,
            BuiltOn built => Refused.Conflict("built-on", built.Said),
            Unreadable file => new(StatusCodes.Status422UnprocessableEntity, "unreadable", file.Said),
            AntiforgeryValidationException => new(StatusCodes.Status400BadRequest, "stale-page", StalePage),
            BadHttpRequestException bad => OfRequest(bad),
            PostgresException { SqlState: var state }
                when state
                    is PostgresErrorCodes.CharacterNotInRepertoire
                        or PostgresErrorCodes.UntranslatableCharacter => new(
                StatusCodes.Status422UnprocessableEntity,
                "invalid",
                NoSuchSign
            ),
            PostgresException { SqlState: PostgresErrorCodes.UniqueViolation } taken
                when taken.ConstraintName?.EndsWith("_pkey", StringComparison.Ordinal) == true => Refused.Taken(),
            _ when DatabaseAway(e) => new(StatusCodes.Status503ServiceUnavailable, "database-away", Away),
            _ => null,
        };

    private static Refused OfRequest(BadHttpRequestException bad) =>
        bad switch
        {
            { StatusCode: StatusCodes.Status413PayloadTooLarge } => new(bad.StatusCode, "too-large", TooLarge),
            { InnerException: JsonException { Path: ['$', '.', ..] path } } => Refused.Field(path[2..], NoSuchValue),
            _ => new(
                bad.StatusCode,
                "bad-request",
                $"This did not send properly. Nothing changed. Reload and try again."
            ),
        };

    private void Log(Exception e)
    {
        if (e is Unreadable { InnerException: { } inner })
            log.LogWarning("A file could not be read: {Kind}", inner.GetType().Name);
        else if (DatabaseAway(e))
            log.LogWarning("The database did not answer: {Kind}", e.GetType().Name);
        else if (Refusal(e) is null)
            log.LogError(e, "Request failed");
    }

    private static bool DatabaseAway(Exception e) =>
        e is NpgsqlException { IsTransient: true } or PostgresException { SqlState: "57P01" or "57P03" or "57P02" }
        || e is NpgsqlException { InnerException: SocketException or IOException or TimeoutException };

    internal static Task Write(
        HttpContext http,
        int status,
        string code,
        Message message,
        IReadOnlyDictionary<string, Message>? fields = null
    )
    {
        if (http.Response.HasStarted)
            return Task.CompletedTask;
        http.Response.StatusCode = status;
        var problem = new ProblemDetails
        {
            Status = status,
            Title = message.ToString(),
            Type = $"urn:deepcurrent:{code}",
        };
        problem.Extensions["code"] = code;
        problem.Extensions["said"] = message;
        problem.Extensions["requestId"] = http.TraceIdentifier;
        if (fields is not null)
            problem.Extensions["fields"] = fields;
        return http.Response.WriteAsJsonAsync(problem, options: null, contentType: "application/problem+json");
    }
}
