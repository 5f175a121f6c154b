import { isEan13 } from '@hardy/core/words';
import JsBarcode from 'jsbarcode';
import { useEffect, useRef } from 'react';

/** A barcode a scanner reads: EAN-13 where the code is one, Code 128 otherwise. */
export function Barcode({ code, label }: { code: string; label: string }) {
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    if (!svg.current) return;
    JsBarcode(svg.current, code, {
      format: isEan13(code) ? 'EAN13' : 'CODE128',
      width: 1.6,
      height: 36,
      fontSize: 12,
      margin: 0,
      lineColor: '#000',
      background: 'transparent',
    });
  }, [code]);
  return <svg ref={svg} role="img" aria-label={label} className="barcode" />;
}
