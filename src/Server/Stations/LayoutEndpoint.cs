using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Holes and parts out of layout files; nothing is stored.</summary>
internal static class LayoutEndpoint
{
    private const long MaxBytes = 32 * 1024 * 1024;

    public const string InWords = LayoutEndpointWords.LimitsMiBInAllFilesTogether;

    public static async Task<Ok<LayoutResult>> AnswerAsync(
        HttpRequest request,
        string? units,
        string? digits,
        string? sheet
    ) => TypedResults.Ok((await ReadAsync(request, units, digits, sheet)).Layout);

    internal static async Task<(LayoutResult Layout, IFormCollection Form)> ReadAsync(
        HttpRequest request,
        string? units,
        string? digits,
        string? sheet,
        IReadOnlyDictionary<string, ColumnMap>? columns = null
    )
    {
        if (!request.HasFormContentType)
            throw new BadHttpRequestException(
                LayoutEndpointWords.ExpectedMultipartFormDataWithLayouts,
                StatusCodes.Status415UnsupportedMediaType
            );
        var options = new LayoutOptions(Units(units), Sheet: sheet);
        if (digits is not null)
            options = Digits(options, digits);
        var (files, form) = await FilesAsync(request);
        return (LayoutReader.Read(files, options with { Columns = columns }), form);
    }

    internal static async Task<(List<LayoutFile> Files, IFormCollection Form)> FilesAsync(HttpRequest request)
    {
        if (!request.HasFormContentType)
            throw new BadHttpRequestException(
                LayoutEndpointWords.ExpectedMultipartFormDataWithLayouts,
                StatusCodes.Status415UnsupportedMediaType
            );
        IFormCollection form;
        try
        {
            form = await request.ReadFormAsync(
                new Microsoft.AspNetCore.Http.Features.FormOptions { MultipartBodyLengthLimit = MaxBytes },
                request.HttpContext.RequestAborted
            );
        }
        catch (InvalidDataException e)
        {
            throw new InputException("/files", LayoutEndpointWords.FormCantBeRead(e.Message));
        }
        var files = new List<LayoutFile>();
        foreach (var f in form.Files.Where(f => f.Name == "files"))
        {
            using var memory = new MemoryStream();
            await f.CopyToAsync(memory, request.HttpContext.RequestAborted);
            files.Add(new(Path.GetFileName(f.FileName), memory.ToArray()));
        }
        return (files, form);
    }

    private static LengthUnit? Units(string? text) =>
        text is null
            ? null
            : LengthUnits.Parse(text)
                ?? throw new InputException("?units", LayoutEndpointWords.ExpectedMmCmMInch(text));

    private static LayoutOptions Digits(LayoutOptions options, string digits)
    {
        var parts = digits.Split('.', ':');
        return
            parts.Length == 2
            && int.TryParse(parts[0], CultureInfo.InvariantCulture, out var a)
            && int.TryParse(parts[1], CultureInfo.InvariantCulture, out var b)
            && a is >= 1 and <= 6
            && b is >= 1 and <= 6
            ? options with
            {
                IntegerDigits = a,
                DecimalDigits = b,
            }
            : throw new InputException("?digits", LayoutEndpointWords.ExpectedDigitsBeforeAndAfterPoint(digits));
    }
}
