import type { ShopChange, ShopSettings } from '@hardy/core/words';
import { HOUSE_WAY_NAMES, HOUSE_WAYS, tell, type HouseWay } from '@hardy/core/sheets';
import { Choice } from '../desk/Choice.tsx';

interface Props {
  shop: ShopSettings;
  onChange: (change: ShopChange) => void;
}

/** What practitioners differ on: how this shop does it stands on its sheets, with the reason. */
export function HouseWaysPanel({ shop, onChange }: Props) {
  return (
    <section aria-label="How we do it">
      <h2 className="kicker">How we do it, as the sheets say</h2>
      <dl className="vehicle-fields setup-fields">
        {HOUSE_WAY_NAMES.map((way) => (
          <div key={way}>
            <dt>{tell('en', `ways/${way}/asks`)}</dt>
            <dd>
              <Choice
                label={tell('en', `ways/${way}/asks`)}
                value={shop.ways[way]}
                onChoice={(value) => onChange({ ways: { [way]: value } })}
                options={(HOUSE_WAYS[way] as ReadonlyArray<ShopSettings['ways'][HouseWay]>).map((value) => ({
                  value,
                  label: value.replace(/-/g, ' '),
                }))}
              />
              <p className="soft">{tell('en', `ways/${way}/${shop.ways[way]}`)}</p>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
