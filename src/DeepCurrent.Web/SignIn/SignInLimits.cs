using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>Slows guessing down. Each try is counted before anything is looked up, and taken off again if it is right.
/// On a device that has signed in to an account before, only its own mistakes count: somebody else's wrong guesses shut
/// nobody out.</summary>
public sealed class SignInLimits(
    TryStore tries,
    Devices devices,
    SessionStore sessions,
    TimeProvider clock,
    IConfiguration configuration
)
{
    private readonly GuessRule account = GuessRule.Account with
    {
        Free = configuration.GetValue("SignIn:FreeTries", GuessRule.Account.Free),
    };
    private readonly GuessRule address = GuessRule.Address with
    {
        Free = configuration.GetValue("SignIn:FreeTriesOfAnAddress", GuessRule.Address.Free),
    };
    private readonly GuessRule room = GuessRule.Class with
    {
        Free = configuration.GetValue("SignIn:FreeTriesOfAClass", GuessRule.Class.Free),
    };

    /// <summary>Carries out a sign-in to an account.</summary>
    /// <param name="key">Names the account, such as "adult ana".</param>
    /// <param name="about">Whom it is about, for the school's log; null for an account that does not exist.</param>
    /// <param name="attempt">Tries, and says whether it was right.</param>
    public async Task<bool> Account(HttpContext http, string key, DoorSubject? about, Func<Task<bool>> attempt)
    {
        var device = devices.Find(http);
        key = key.ToLowerInvariant();
        var known = device is { } d && await tries.Knows(d, key);
        var own = $"{key} {(known ? $"on {device}" : "elsewhere")}";
        List<Guessed> guesses = [new(own, account)];
        if (!known)
            guesses.Add(new($"address {http.Connection.RemoteIpAddress}", address));
        // A device of the class has room of its own, so that nobody elsewhere shuts the class out.
        var classKey = about?.ClassId is { } c ? $"class {c}" : null;
        var ofClass = classKey is null
            ? null
            : $"{classKey} {(device is { } e && await tries.Knows(e, classKey) ? $"on {device}" : "elsewhere")}";
        if (ofClass is not null)
            guesses.Add(new(ofClass, room));
        var entry = await Enter(http, guesses, about);
        if (await attempt())
        {
            await tries.Right(entry.Tries, own);
            await tries.Know(devices.Give(http), classKey is null ? [key] : [key, classKey], clock.GetUtcNow());
            return true;
        }
        if (about is not null)
        {
            await Note(http, about.Person, SignInEvent.Failed);
            if (ofClass is not null && entry.Counts[ofClass] >= GuessRule.Suspicious)
                await Note(http, new(about.SchoolId, ClassId: about.ClassId), SignInEvent.Guessing);
        }
        return false;
    }

    /// <summary>Looks something up by a code that is typed or a link. A right one in between forgives
    /// nothing.</summary>
    public async Task<bool> Code(HttpContext http, string what, Func<Task<bool>> attempt)
    {
        var device = devices.Find(http);
        Guessed own = device is { } d
            ? new($"{what} on {d}", GuessRule.Codes)
            : new($"{what} at {http.Connection.RemoteIpAddress}", address);
        var entry = await Enter(http, [own], null);
        if (!await attempt())
            return false;
        await tries.Right(entry.Tries, account: null);
        return true;
    }

    /// <summary>Counts something a stranger asks for; it stays counted, whatever becomes of it.</summary>
    public async Task Ask(HttpContext http, string what) =>
        await Enter(
            http,
            [
                devices.Find(http) is { } d
                    ? new($"{what} asked on {d}", GuessRule.Joining)
                    : new($"{what} asked at {http.Connection.RemoteIpAddress}", GuessRule.JoiningAddress),
            ],
            null
        );

    private async Task<Entry> Enter(HttpContext http, IReadOnlyList<Guessed> guesses, DoorSubject? about)
    {
        var entry = await tries.Enter(guesses, clock.GetUtcNow());
        if (entry.Wait <= TimeSpan.Zero)
            return entry;
        if (about is not null)
            await Note(http, about.Person, SignInEvent.Locked);
        var seconds = (int)Math.Ceiling(entry.Wait.TotalSeconds);
        throw new Refused(
            StatusCodes.Status429TooManyRequests,
            "too-many-tries",
            seconds > 120
                ? (Message)$"Too many tries. Wait {(seconds + 59) / 60:count} minutes."
                : $"Too many tries. Wait {seconds:count} seconds."
        );
    }

    private Task Note(HttpContext http, DoorSubject about, SignInEvent kind) =>
        sessions.Note(about, kind, Devices.Name(http), clock.GetUtcNow());
}
