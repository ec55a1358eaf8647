using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Left">Whether nothing more is signed with these initials.</param>
/// <param name="By">Who enters it; absent for the first person of a workshop.</param>
internal sealed record SignerChange(string Name, string Colour, bool Works, bool Left, string? By = null);

/// <summary>Who signs here: names, stamps, who works today, who left.</summary>
internal static class SignerEndpoints
{
    private const int MaxName = 80;

    public static void Map(IEndpointRouteBuilder app)
    {
        var signers = app.MapGroup("/api/signers").WithTags("settings");
        signers.MapGet("", (Signers all) => TypedResults.Ok(all.All()));
        signers.MapPut("/{initials}", Put);
    }

    private static Ok<IReadOnlyList<SignerRow>> Put(string initials, SignerChange body, Signers all)
    {
        var faults = new List<InputFault>();
        if (Signer.WhyNot(initials) is { } why)
            faults.Add(new("/initials", why));
        if (body.Name is null or { Length: > MaxName })
            faults.Add(new("/name", LimitWords.ExpectedAtMostCharacters(MaxName)));
        if (!Signer.Colours.Contains(body.Colour))
            faults.Add(new("/colour", $"Expected one of {string.Join(", ", Signer.Colours)}."));
        if (faults.Count > 0)
            throw new InputException(faults);
        var normal = Signer.Normalize(initials);
        var stored = all.All().FirstOrDefault(s => Signer.Normalize(s.Initials) == normal)?.Initials ?? normal;
        all.Put(stored, body.Name!.Trim(), body.Colour, body.Works, body.Left);
        return TypedResults.Ok(all.All());
    }
}
