using DeepCurrent.Data.Adults;

namespace DeepCurrent.Web.Hosting;

/// <summary>Sends mail.</summary>
public interface IMailer
{
    Task Send(SchoolId schoolId, string to, string subject, string body);

    /// <summary>Sends a mail in a language, a paragraph a message.</summary>
    Task Send(SchoolId schoolId, string to, Language language, Message subject, params Message[] paragraphs) =>
        Send(schoolId, to, Catalogue.Of(language).Say(subject), Catalogue.Of(language).Letter(paragraphs));
}

/// <summary>The mailer that ships: keeps what it would send in an outbox that the school lead can read.</summary>
public sealed class OutboxMailer(AdultStore adults, TimeProvider clock) : IMailer
{
    public Task Send(SchoolId schoolId, string to, string subject, string body) =>
        adults.Send(schoolId, to, subject, body, clock.GetUtcNow());
}
