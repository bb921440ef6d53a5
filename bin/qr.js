// Draws a text as a QR code for a terminal: node bin/qr.js TEXT
import qrcode from 'qrcode-generator';

const quiet = 2;
const code = qrcode(0, 'M');
code.addData(process.argv[2] ?? '');
code.make();
const size = code.getModuleCount();
const isDark = (row, column) => row >= 0 && column >= 0 && row < size && column < size && code.isDark(row, column);
// light squares are drawn, dark ones left out: a terminal is dark, and where it is light cameras read the negative too
const halves = { '00': '█', '01': '▀', 10: '▄', 11: ' ' };
for (let row = -quiet; row < size + quiet; row += 2) {
  let line = '';
  for (let column = -quiet; column < size + quiet; column += 1) {
    line += halves[`${isDark(row, column) ? 1 : 0}${isDark(row + 1, column) ? 1 : 0}`];
  }
  console.log(`  ${line}`);
}
