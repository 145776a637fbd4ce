using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Adults;

/// <summary>An adult as signing in needs them.</summary>
/// <param name="PasswordHash">Null for somebody who is invited and has not chosen a password.</param>
/// <param name="ConfirmedAt">When a guardian's address was confirmed.</param>
public sealed record Adult(
    AdultId Id,
    SchoolId SchoolId,
    string Name,
    string UserName,
    string? PasswordHash,
    AdultKind Kind = AdultKind.Staff,
    bool Lead = false,
    string? Mail = null,
    bool LeftSchool = false,
    DateTimeOffset? ConfirmedAt = null,
    Post Post = Post.Teacher
);

/// <summary>A member of staff as the school lead sees them.</summary>
/// <param name="Classes">Their classes that are open, and their part in each.</param>
/// <param name="Invited">Until when an open invitation holds.</param>
public sealed record StaffRow(
    AdultId Id,
    string Name,
    string UserName,
    string? Mail,
    bool Lead,
    bool LeftSchool,
    bool HasPassword,
    DateTimeOffset? SignedInAt,
    IReadOnlyList<StaffClass> Classes,
    DateTimeOffset? Invited,
    bool FromSource,
    Post Post
);

/// <summary>A class somebody has a part in.</summary>
public sealed record StaffClass(string Name, Part Part);

/// <summary>A one-time link.</summary>
public sealed record Pass(
    Guid Id,
    SchoolId SchoolId,
    AdultId AdultId,
    PassPurpose Purpose,
    string Name,
    string UserName
);

public sealed record SentMail(Guid Id, string ToAddress, string Subject, string Body, DateTimeOffset MadeAt);

/// <summary>Adults, how they get in, and mail.</summary>
public sealed class AdultStore(NpgsqlDataSource db)
{
    private const string Columns =
        "id, school_id, name, user_name, password_hash, kind, lead, mail, left_school, confirmed_at, post";

    public async Task Add(Adult adult)
    {
        await using var c = await db.OpenConnectionAsync();
        await Add(c, null, adult);
    }

    internal static Task Add(NpgsqlConnection c, NpgsqlTransaction? t, Adult adult) =>
        c.ExecuteAsync(
            """
            insert into adult (id, school_id, name, user_name, password_hash, kind, lead, mail, confirmed_at, post)
            values (@Id, @SchoolId, @Name, @UserName, @PasswordHash, @kind, @Lead, @Mail, @ConfirmedAt, @post)
            """,
            new
            {
                adult.Id,
                adult.SchoolId,
                adult.Name,
                adult.UserName,
                adult.PasswordHash,
                kind = adult.Kind.ToString(),
                adult.Lead,
                adult.Mail,
                adult.ConfirmedAt,
                post = adult.Post.ToString(),
            },
            t
        );

    public async Task<Adult?> Find(string userName)
    {
        return await db.One<Adult>(
            $"select {Columns} from adult where lower(user_name) = lower(@userName)",
            new { userName }
        );
    }

    public async Task<Adult?> Find(AdultId adultId, SchoolId schoolId)
    {
        return await db.One<Adult>(
            $"select {Columns} from adult where id = @adultId and school_id = @schoolId",
            new { adultId, schoolId }
        );
    }

    public async Task<bool> NameIsTaken(string userName) => await Find(userName) is not null;

    /// <summary>Notes when somebody was last signed in.</summary>
    public async Task SignedIn(Guid id, bool reader, DateTimeOffset at)
    {
        await using var c = await db.OpenConnectionAsync();
        await SignedIn(c, id, reader, at);
    }

    internal static Task SignedIn(NpgsqlConnection c, Guid id, bool reader, DateTimeOffset at) =>
        c.ExecuteAsync(
            reader
                ? "update reader set signed_in_at = @at where id = @id"
                : "update adult set signed_in_at = @at where id = @id",
            new { id, at }
        );

    public async Task<IReadOnlyList<StaffRow>> Staff(SchoolId schoolId, DateTimeOffset now)
    {
        return await db.All<StaffRow>(
            $"""
            select a.id, a.name, a.user_name, a.mail, a.lead, a.left_school,
              a.password_hash is not null as has_password, a.signed_in_at,
                   coalesce(
                     (
                       select jsonb_agg(jsonb_build_object('name', c.name, 'part', p.role) order by c.name, c.id)
                       from class_adult p join class c on c.id = p.class_id
                       where p.adult_id = a.id and not c.closed),
                     '[]')::text as classes,
                   (
                     select max(p.expires_at)
                     from pass p
                     where p.adult_id = a.id
                       and p.used_at is null
                       and p.taken_back_at is null
                       and p.expires_at > @now) as invited,
                   a.source_id is not null as from_source, a.post
            from adult a
            where a.school_id = @schoolId and a.kind = '{nameof(AdultKind.Staff)}'
            order by a.left_school, a.name, a.id
            limit 10000
            """,
            new { schoolId, now }
        );
    }

    /// <summary>Makes a one-time link; earlier ones of the same purpose stop working.</summary>
    public async Task AddPass(
        Guid id,
        SchoolId schoolId,
        AdultId adultId,
        PassPurpose purpose,
        string hash,
        DateTimeOffset now,
        DateTimeOffset expires
    )
    {
        await db.Run(
            """
            update pass
            set taken_back_at = @now
            where adult_id = @adultId and purpose = @purpose and used_at is null and taken_back_at is null;
            insert into pass (id, school_id, adult_id, purpose, hash, made_at, expires_at)
            values (@id, @schoolId, @adultId, @purpose, @hash, @now, @expires)
            """,
            new
            {
                id,
                schoolId,
                adultId,
                purpose = purpose.ToString(),
                hash,
                now,
                expires,
            }
        );
    }

    /// <summary>An open pass; null if it was used, taken back, has expired or never was.</summary>
    public async Task<Pass?> OpenPass(string hash, DateTimeOffset now)
    {
        return await db.One<Pass>(
            """
            select p.id, p.school_id, p.adult_id, p.purpose, a.name, a.user_name
            from pass p join adult a on a.id = p.adult_id
            where p.hash = @hash
              and p.used_at is null
              and p.taken_back_at is null
              and p.expires_at > @now
              and not a.left_school
            """,
            new { hash, now }
        );
    }

    /// <summary>Uses a pass to set a password, and ends every session there was; false if it was used
    /// meanwhile.</summary>
    public async Task<bool> SetPassword(Pass pass, string userName, string passwordHash, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (
            await c.ExecuteAsync(
                "update pass set used_at = @now where id = @Id and used_at is null",
                new { pass.Id, now },
                t
            ) == 0
        )
            return false;
        await c.ExecuteAsync(
            """
            update adult
            set password_hash = @passwordHash, user_name = @userName, confirmed_at = coalesce(confirmed_at, @now)
            where id = @AdultId
            """,
            new
            {
                pass.AdultId,
                passwordHash,
                userName,
                now,
            },
            t
        );
        await SessionStore.EndAll(c, t, [pass.AdultId.Value], now);
        await t.CommitAsync();
        return true;
    }

    /// <summary>Uses a confirmation; false if it was used meanwhile.</summary>
    public async Task<bool> Confirm(Pass pass, DateTimeOffset now)
    {
        return await db.Run(
                """
                with used as (update pass set used_at = @now where id = @Id and used_at is null returning adult_id)
                update adult a set confirmed_at = coalesce(a.confirmed_at, @now) from used where a.id = used.adult_id
                """,
                new { pass.Id, now }
            ) == 1;
    }

    /// <summary>Sets a password and ends every other session there is.</summary>
    /// <param name="here">The session that goes on.</param>
    public async Task ChangePassword(AdultId adultId, string passwordHash, Guid here, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            "update adult set password_hash = @passwordHash where id = @adultId",
            new { adultId, passwordHash },
            t
        );
        await SessionStore.EndAll(c, t, [adultId.Value], now, here);
        await t.CommitAsync();
    }

    public async Task Send(SchoolId schoolId, string to, string subject, string body, DateTimeOffset at)
    {
        await db.Run(
            """
            insert into mail (id, school_id, to_address, subject, body, made_at)
            values (@id, @schoolId, @to, @subject, @body, @at)
            """,
            new
            {
                id = Guid.CreateVersion7(),
                schoolId,
                to,
                subject,
                body,
                at,
            }
        );
    }

    public async Task<IReadOnlyList<SentMail>> Outbox(SchoolId schoolId)
    {
        return await db.All<SentMail>(
            """
            select id, to_address, subject, body, made_at
            from mail
            where school_id = @schoolId
            order by made_at desc
            limit 200
            """,
            new { schoolId }
        );
    }
}
