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
    public async Task InvokeAsync(HttpContext http)
    {
        try
        {
            await next(http);
        }
        catch (Refused refused)
        {
            await Write(http, refused.Status, refused.Code, refused.Message, refused.Fields);
        }
        catch (BuiltOn built)
        {
            await Write(http, StatusCodes.Status409Conflict, "built-on", built.Message);
        }
        catch (Unreadable unreadable)
        {
            if (unreadable.InnerException is { } inner)
                log.LogWarning("A file could not be read: {Kind}", inner.GetType().Name);
            await Write(http, StatusCodes.Status422UnprocessableEntity, "unreadable", unreadable.Message);
        }
        catch (AntiforgeryValidationException)
        {
            await Write(
                http,
                StatusCodes.Status400BadRequest,
                "stale-page",
                "This page is no longer signed in the way it was. Load it again and repeat the last step."
            );
        }
        catch (BadHttpRequestException large) when (large.StatusCode == StatusCodes.Status413PayloadTooLarge)
        {
            await Write(
                http,
                large.StatusCode,
                "too-large",
                "This is larger than can be taken in: a list may have 20 MB, a sound 30 MB, a roster zip 60 "
                    + "MB. Nothing was changed."
            );
        }
        catch (BadHttpRequestException e) when (e.InnerException is JsonException { Path: ['$', '.', ..] path })
        {
            const string sentence = "This is none of the values that can stand here.";
            var fields = new Dictionary<string, string[]> { [path[2..]] = [sentence] };
            await Write(http, StatusCodes.Status422UnprocessableEntity, "invalid", sentence, fields);
        }
        catch (BadHttpRequestException bad)
        {
            await Write(http, bad.StatusCode, "bad-request", "The request could not be read.");
        }
        catch (PostgresException e)
            when (e.SqlState
                    is PostgresErrorCodes.CharacterNotInRepertoire
                        or PostgresErrorCodes.UntranslatableCharacter
            )
        {
            await Write(
                http,
                StatusCodes.Status422UnprocessableEntity,
                "invalid",
                "There is a sign in this that cannot be kept. Type it again."
            );
        }
        catch (PostgresException e)
            when (e.SqlState is PostgresErrorCodes.UniqueViolation && e.ConstraintName?.EndsWith("_pkey") == true)
        {
            var taken = Refused.Taken();
            await Write(http, taken.Status, taken.Code, taken.Message);
        }
        catch (Exception e) when (DatabaseAway(e))
        {
            log.LogWarning("The database did not answer: {Kind}", e.GetType().Name);
            await Write(
                http,
                StatusCodes.Status503ServiceUnavailable,
                "database-away",
                "The database does not answer just now. Nothing that was saved is lost. Try again in a moment."
            );
        }
        catch (Exception e) when (!http.RequestAborted.IsCancellationRequested)
        {
            log.LogError(e, "Request failed");
            await Write(
                http,
                StatusCodes.Status500InternalServerError,
                "failed",
                "Something went wrong on the server. What was saved before is kept."
            );
        }
    }

    private static bool DatabaseAway(Exception e) =>
        e is NpgsqlException { IsTransient: true } or PostgresException { SqlState: "57P01" or "57P03" or "57P02" }
        || e is NpgsqlException { InnerException: SocketException or IOException or TimeoutException };

    internal static Task Write(
        HttpContext http,
        int status,
        string code,
        string sentence,
        IReadOnlyDictionary<string, string[]>? fields = null
    )
    {
        if (http.Response.HasStarted)
            return Task.CompletedTask;
        http.Response.StatusCode = status;
        var problem = new ProblemDetails
        {
            Status = status,
            Title = sentence,
            Type = $"urn:deepcurrent:{code}",
        };
        problem.Extensions["code"] = code;
        problem.Extensions["requestId"] = http.TraceIdentifier;
        if (fields is not null)
            problem.Extensions["fields"] = fields;
        return http.Response.WriteAsJsonAsync(problem, options: null, contentType: "application/problem+json");
    }
}
