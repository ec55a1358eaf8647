/** The reference target at true scale on A5, drawn by the server from the same table the finder reads. */
export function TargetPage() {
  return (
    <main className="bg-white p-0">
      <style>{'@page { size: 210mm 148mm; margin: 0 }'}</style>
      <p className="no-print p-4 text-[16px] text-black">
        Print on A5 at 100 %, without scaling. The bar has to measure 50 mm.{' '}
        <button
          type="button"
          className="ml-3 rounded-[3px] bg-copper px-4 py-2 font-bold text-on-copper"
          onClick={() => print()}
        >
          Print the sheet
        </button>
      </p>
      <img
        src="/api/target.svg"
        alt="Reference target with twelve marks and a 50 mm bar"
        style={{ width: '210mm', height: '148mm', display: 'block' }}
      />
    </main>
  )
}
